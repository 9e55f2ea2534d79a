using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.StitchLists;

/// <summary>Reads a stitch list, version 1 to 3.</summary>
public sealed class StitchListReader
{
    /// <summary>Largest file taken, bytes: some 1.5 million needle points.</summary>
    public const int LargestFile = 20_000_000;

    private static readonly IReadOnlyDictionary<bool, string> HoopWords = new Dictionary<bool, string>
    {
        [true] = "off",
        [false] = "on",
    };

    private readonly StitchListLines _lines;
    private readonly StitchListLayers _layers;
    private readonly string _code;

    private StitchListReader(string text)
    {
        _code = CodeOf(text);
        _lines = new StitchListLines(text);
        _layers = new StitchListLayers(_lines);
    }

    /// <returns>The program, or "stitch-list-foreign", "-newer", "-broken" with the line and a sentence.</returns>
    public static Result<StitchProgram> Read(ReadOnlySpan<byte> file)
    {
        if (file.Length > LargestFile)
        {
            return new Refusal(
                "stitch-list-too-large",
                "file",
                $"This stitch list has {file.Length / 1e6:0} MB; up to {LargestFile / 1e6:0} MB are read."
            );
        }
        var text = Encoding.UTF8.GetString(file);
        var first = text.Split('\n', 2)[0].TrimEnd('\r').Split(' ');
        if (
            first[0] != StitchListFormat.Magic
            || first.Length != 2
            || !int.TryParse(first[1], NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var version)
        )
        {
            return new Refusal(
                "stitch-list-foreign",
                "line 1",
                $"This is not an Ullet stitch list: its first line should be \"{StitchListFormat.Magic} {StitchListFormat.Version}\"."
            );
        }
        if (version < 1)
        {
            return new Refusal(
                "stitch-list-broken",
                "line 1",
                $"This stitch list can't be read: line 1: versions are counted from 1; {version} is none."
            );
        }
        if (version > StitchListFormat.Version)
        {
            return new Refusal(
                "stitch-list-newer",
                "line 1",
                $"This stitch list has version {version}; this Ullet reads up to {StitchListFormat.Version}. Bring Ullet up to date."
            );
        }
        try
        {
            return new StitchListReader(text).ReadAll();
        }
        catch (StitchListException wrong)
        {
            return new Refusal(
                "stitch-list-broken",
                $"line {wrong.Line}",
                $"This stitch list can't be read: line {wrong.Line}: {wrong.Message}."
            );
        }
    }

    /// <summary>The short code that may stand behind the first line; empty for none.</summary>
    private static string CodeOf(string text)
    {
        var lines = text.Split('\n', 3);
        var words = lines.Length > 1 ? lines[1].TrimEnd('\r').Split(' ') : [];
        return words is ["#", "state", var code] && code.Length <= 16 && code.All(char.IsAsciiLetterOrDigit)
            ? code
            : "";
    }

    private StitchProgram ReadAll()
    {
        var title = _lines.Only("title");
        var hooping = _lines.Only("hooping");
        _lines.Header("units").Expect("mm");
        var axes = _lines.Header("axes");
        axes.Expect("x-right");
        axes.Expect("y-down");
        _lines.Header("origin").Expect("field-centre");
        var field = _lines.Header("field");
        var (width, height) = (field.Real("the field's width"), field.Real("the field's height"));
        if (width <= 0 || height <= 0)
        {
            throw field.Wrong("the field must be larger than nothing");
        }
        var cautions = ImmutableArray.CreateBuilder<string>();
        while (_lines.NextIs("caution"))
        {
            cautions.Add(_lines.Only("caution"));
        }
        var threads = Threads();
        var steps = ImmutableArray.CreateBuilder<ProgramStep>();
        while (_lines.NextIs("step"))
        {
            steps.Add(Step(steps.Count + 1, threads.Length));
        }
        if (!_lines.NextIs("end"))
        {
            throw _lines.TryPeek(out var stray)
                ? stray.Wrong("a step or the end was expected")
                : new StitchListException(_lines.Number, "the file ends before its end line; it may have been cut off");
        }
        var program = new StitchProgram(title, hooping, width, height, threads, steps.ToImmutable())
        {
            Cautions = cautions.ToImmutable(),
            Code = _code,
        };
        CheckEnd(_lines.Dequeue(), program);
        return program;
    }

    private void CheckEnd(StitchListLine end, StitchProgram program)
    {
        end.Expect("end");
        end.Expect("steps");
        var steps = end.Whole("the number of steps");
        end.Expect("points");
        var points = end.Whole("the number of points");
        end.End();
        if (steps != program.Steps.Length || points != program.StitchCount)
        {
            throw end.Wrong(
                $"it counts {steps} steps and {points} points, but there are {program.Steps.Length} and {program.StitchCount}"
            );
        }
        if (_lines.TryPeek(out var stray))
        {
            throw stray.Wrong("nothing may follow the end line");
        }
    }

    private ImmutableArray<ProgramThread> Threads()
    {
        var threads = ImmutableArray.CreateBuilder<ProgramThread>();
        while (_lines.NextIs("thread"))
        {
            var line = _lines.Header("thread");
            var number = line.Whole("the thread's number");
            if (number != threads.Count + 1)
            {
                throw line.Wrong(
                    $"threads are numbered from 1 without gaps; {number} stands where {threads.Count + 1} should"
                );
            }
            var colour = line.Colour("a colour");
            var kind = line.OneOf(StitchListFormat.ThreadKinds, "thread kind");
            threads.Add(new ProgramThread(number, line.Word("the thread's name"), colour, kind));
            line.End();
        }
        return threads.ToImmutable();
    }

    private ProgramStep Step(int expected, int threads)
    {
        var line = _lines.Header("step");
        var number = line.Whole("the step's number");
        if (number != expected)
        {
            throw line.Wrong($"steps are numbered from 1 without gaps; {number} stands where {expected} should");
        }
        var kind = line.Word("the kind of step");
        return kind switch
        {
            "stitch" => Stitches(line, threads),
            "hand" => Hands(line),
            _ => throw line.Wrong($"a step is \"stitch\" or \"hand\", not \"{kind}\""),
        };
    }

    private ProgramStitches Stitches(StitchListLine line, int threads)
    {
        var role = line.Word("the role");
        var (key, owner) = KeyAndOwner(line);
        line.Expect("thread");
        var thread = line.Whole("the thread's number");
        if (thread < 1 || thread > threads)
        {
            throw line.Wrong($"there is no thread {thread}");
        }
        line.Expect("block");
        var block = line.Whole("the block's number");
        line.End();
        var commands = ImmutableArray.CreateBuilder<NeedleCommand>();
        var roles = ImmutableArray.CreateBuilder<NeedleRole>();
        NeedleRole? purpose = null;
        var at = Point.Zero;
        while (_lines.NextIs("s") || _lines.NextIs("j") || _lines.NextIs("t") || _lines.NextIs("for"))
        {
            if (_lines.NextIs("for"))
            {
                var told = _lines.Header("for");
                purpose = told.OneOf(StitchListFormat.NeedleRoles, "what needle points are for");
                told.End();
                continue;
            }
            var command = _lines.Dequeue();
            var word = command.Word("the command");
            at = word == "t" ? at : command.Place();
            command.End();
            var kind =
                word == "s" ? NeedleKind.Stitch
                : word == "j" ? NeedleKind.Jump
                : NeedleKind.Trim;
            commands.Add(new NeedleCommand(kind, at));
            if (purpose is { } known)
            {
                // What comes before the first word of a step is the way there.
                while (roles.Count < commands.Count - 1)
                {
                    roles.Add(NeedleRole.Travel);
                }
                roles.Add(
                    kind == NeedleKind.Jump ? NeedleRole.Travel
                    : kind == NeedleKind.Trim ? NeedleRole.Lock
                    : known
                );
            }
        }
        var stops = _lines.NextIs("stop");
        if (stops)
        {
            var stop = _lines.Header("stop");
            stop.End();
        }
        return new ProgramStitches(key, owner, role, thread, block, stops, commands.ToImmutable())
        {
            Roles = roles.ToImmutable(),
        };
    }

    private ProgramHands Hands(StitchListLine line)
    {
        var kind = line.OneOf(StitchListFormat.HandKinds, "kind of hand step");
        var (key, owner) = KeyAndOwner(line);
        line.Expect("hoop");
        var hoopOff = line.OneOf(HoopWords, "hoop word");
        line.End();
        var text = _lines.Only("text");
        var warning = _lines.NextIs("warning") ? _lines.Only("warning") : null;
        var check = _lines.NextIs("check") ? _lines.Only("check") : null;
        var note = _lines.NextIs("note") ? _lines.Only("note") : null;
        var changes = ImmutableArray.CreateBuilder<LayerChange>();
        while (_layers.Change() is { } change)
        {
            changes.Add(change);
        }
        return new ProgramHands(key, owner, kind, text, warning, note, hoopOff, changes.ToImmutable())
        {
            Check = check,
        };
    }

    private static (StepKey Key, string Owner) KeyAndOwner(StitchListLine line)
    {
        line.Expect("key");
        var key = StepKey.Parse(line.Word("the key")) ?? throw line.Wrong("the key is none like e1.cover.0");
        line.Expect("owner");
        return (key, line.Word("the owner"));
    }
}
