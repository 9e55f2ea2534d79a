using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;
using Ullet.Server.Scenes;

namespace Ullet.Server.Devices;

/// <summary>What the machine did with a stitch file, step by step; from the file alone.</summary>
public sealed record Rehearsal(
    string Title,
    double FieldWidth,
    double FieldHeight,
    ImmutableArray<string> Cautions,
    ImmutableArray<ProgramThread> Threads,
    ImmutableArray<RehearsedShape> Shapes,
    ImmutableArray<RehearsedStep> Steps,
    int StitchCount,
    int StopCount,
    double Seconds,
    ImmutableArray<ThreadUse> ThreadUse
);

/// <summary>One step as the machine ran it.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Kind">Stitch or hand.</param>
/// <param name="OwnerName">The element.</param>
/// <param name="Role">"cover", "lay".</param>
/// <param name="Text">What hands do.</param>
/// <param name="Warning">What must not go wrong.</param>
/// <param name="Check">What to check before pressing start.</param>
/// <param name="Note">The user's own line.</param>
/// <param name="HoopOff">True when the hoop comes off for it.</param>
/// <param name="Thread">The thread's number, 0 for a hand step.</param>
/// <param name="Block">The block as the machine counts it, 0 for a hand step.</param>
/// <param name="StopAfter">True when the machine stops after it.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="TrimCount">Trims.</param>
/// <param name="Runs">Needle points between trims, flat x, y, x, y, mm.</param>
/// <param name="Layers">What changes of the picture from above.</param>
/// <param name="Sight">What is seen once it is done.</param>
public sealed record RehearsedStep(
    int Number,
    StepKind Kind,
    string OwnerName,
    string Role,
    string? Text,
    string? Warning,
    string? Check,
    string? Note,
    bool HoopOff,
    int Thread,
    int Block,
    bool StopAfter,
    double Seconds,
    int StitchCount,
    int TrimCount,
    ImmutableArray<ImmutableArray<double>> Runs,
    ImmutableArray<RehearsedLayer> Layers,
    RehearsedSight Sight
)
{
    /// <summary>The step's key as the file tells it; empty where it tells none.</summary>
    public string Key { get; init; } = "";

    /// <summary>The step and those after it that ask hands for the same; null for one that stands alone, or follows its like.</summary>
    public RehearsedGroup? Group { get; init; }
}

/// <summary>Hand steps in a row that are one card.</summary>
/// <param name="Count">How many.</param>
/// <param name="Text">The sentence for all of them.</param>
/// <param name="Seconds">How long all of them take.</param>
/// <param name="Places">Where, with the numbers that the sentence names.</param>
public sealed record RehearsedGroup(int Count, string Text, double Seconds, ImmutableArray<RehearsedPlace> Places);

/// <summary>A numbered place, mm.</summary>
public sealed record RehearsedPlace(int Number, double X, double Y);

/// <summary>A layer as it lies from some step on.</summary>
/// <param name="LayerId">Names the layer in the file.</param>
/// <param name="Name">Its name.</param>
/// <param name="Cloth">Its cloth.</param>
/// <param name="FaceUp">Which face is up, seen from the front.</param>
/// <param name="Path">The area it takes, SVG path data, mm.</param>
/// <param name="Zip">What makes it look like a zip; null for what is none.</param>
public sealed record RehearsedShape(
    string LayerId,
    string Name,
    Cloth Cloth,
    bool FaceUp,
    string Path,
    RehearsedZip? Zip
);

/// <summary>A zip's parts, SVG path data, mm.</summary>
/// <param name="Teeth">The middles of its rows of teeth.</param>
/// <param name="TeethWidth">How wide a row is, mm.</param>
/// <param name="Slit">What is open.</param>
/// <param name="Slider">The slider.</param>
public sealed record RehearsedZip(string Teeth, double TeethWidth, string Slit, string Slider);

/// <summary>What is seen of the work.</summary>
/// <param name="IsBack">True from the back, the hoop turned over about its upright middle.</param>
/// <param name="IsOut">True once the work is out of the hoop.</param>
/// <param name="Things">What is drawn, one over the other: from 0 a shape, below 0 the thread of the step -1 - number, counted from 0.</param>
/// <param name="Clip">Only what lies in it is there, SVG path data; empty for all of it.</param>
public sealed record RehearsedSight(bool IsBack, bool IsOut, ImmutableArray<int> Things, string Clip);

/// <summary>Top thread that goes through the needle, m, with what stitches take for their depth.</summary>
public sealed record ThreadUse(int Thread, string Name, double Metres);

/// <summary>The stand-in for an embroidery machine: it knows a stitch file and nothing else.</summary>
public static class StandInMachine
{
    /// <summary>Thread that a needle point takes beside the way on the cloth, mm: down and up again.</summary>
    private const double DepthPerStitch = 1.6;

    public static Rehearsal Run(StitchProgram file)
    {
        var seconds = StepTimes.Of(file);
        var sights = HoopSights.Of(file);
        var layers = new RehearsedLayers(file);
        var groups = EqualSteps.Of(file).ToDictionary(group => group.First, group => Shown(group, seconds));
        var metres = new double[file.Threads.Length + 1];
        var steps = ImmutableArray.CreateBuilder<RehearsedStep>();
        for (var i = 0; i < file.Steps.Length; i++)
        {
            Budget.Spend();
            var sight = Shown(sights.Steps[i]);
            steps.Add(
                file.Steps[i] switch
                {
                    ProgramStitches sewn => Sew(i + 1, sewn, seconds[i], metres, sight) with
                    {
                        Key = sewn.Key.ToString(),
                    },
                    ProgramHands hands => Wait(i + 1, hands, seconds[i], layers.Next(hands), sight) with
                    {
                        Key = hands.Key.ToString(),
                        Group = groups.GetValueOrDefault(i),
                    },
                    _ => throw new InvalidOperationException("Unknown kind of step."),
                }
            );
        }
        return new Rehearsal(
            file.Title,
            file.FieldWidth,
            file.FieldHeight,
            file.Cautions,
            file.Threads,
            [
                .. sights.Shapes.Select(shape => new RehearsedShape(
                    shape.Layer.Id,
                    shape.Layer.Name,
                    shape.Layer.Cloth,
                    shape.Layer.FaceUp,
                    PathText.Of(shape.Layer.Area),
                    Shown(ZipLook.Of(shape.Layer))
                )),
            ],
            steps.ToImmutable(),
            file.StitchCount,
            file.StopCount,
            seconds.Sum(),
            [.. file.Threads.Select(thread => new ThreadUse(thread.Number, thread.Name, metres[thread.Number]))]
        );
    }

    private static RehearsedSight Shown(HoopSight sight) =>
        new(sight.IsBack, sight.IsOut, sight.Things, sight.Clip.IsEmpty ? "" : PathText.Of(sight.Clip));

    private static RehearsedGroup Shown(EqualGroup group, IReadOnlyList<double> seconds) =>
        new(
            group.Count,
            group.Text,
            seconds.Skip(group.First).Take(group.Count).Sum(),
            [.. group.Places.Select(place => new RehearsedPlace(place.Number, place.At.X, place.At.Y))]
        );

    private static RehearsedZip? Shown(ZipLook? zip) =>
        zip is null
            ? null
            : new(
                string.Concat(zip.Teeth.Select(PathText.Of)),
                ZipLook.TeethWidth,
                PathText.Of(zip.Slit),
                PathText.Of(zip.Slider)
            );

    private static RehearsedStep Sew(
        int number,
        ProgramStitches step,
        double seconds,
        double[] metres,
        RehearsedSight sight
    )
    {
        var runs = ImmutableArray.CreateBuilder<ImmutableArray<double>>();
        var run = ImmutableArray.CreateBuilder<double>();
        Point? last = null;
        foreach (var command in step.Commands)
        {
            Budget.Spend();
            if (command.Kind != NeedleKind.Stitch)
            {
                if (run.Count > 2)
                {
                    runs.Add(run.ToImmutable());
                }
                run.Clear();
                last = null;
                continue;
            }
            if (last is { } from)
            {
                metres[step.Thread] += (from.DistanceTo(command.At) + DepthPerStitch) / 1000;
            }
            last = command.At;
            run.Add(command.At.X);
            run.Add(command.At.Y);
        }
        if (run.Count > 2)
        {
            runs.Add(run.ToImmutable());
        }
        return new RehearsedStep(
            number,
            StepKind.Stitch,
            step.OwnerName,
            step.Role,
            null,
            null,
            null,
            null,
            false,
            step.Thread,
            step.Block,
            step.StopAfter,
            seconds,
            step.StitchCount,
            step.TrimCount,
            runs.ToImmutable(),
            [],
            sight
        );
    }

    /// <param name="number">From 1.</param>
    /// <param name="step">The file's step.</param>
    /// <param name="seconds">How long it takes.</param>
    /// <param name="layers">What it changes of the picture from above.</param>
    /// <param name="sight">What is seen once it is done.</param>
    private static RehearsedStep Wait(
        int number,
        ProgramHands step,
        double seconds,
        ImmutableArray<RehearsedLayer> layers,
        RehearsedSight sight
    ) =>
        new(
            number,
            StepKind.Hand,
            step.OwnerName,
            HandTable.Of(step.Kind).Name,
            step.Text,
            step.Warning,
            step.Check,
            step.Note,
            step.HoopOff,
            0,
            0,
            false,
            seconds,
            0,
            0,
            [],
            layers,
            sight
        );
}
