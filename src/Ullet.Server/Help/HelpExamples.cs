using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Booklets;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Files.Moments;
using Ullet.Files.Pictures;
using Ullet.Server.Documents;

namespace Ullet.Server.Help;

/// <summary>A step of an example.</summary>
/// <param name="Example">The example's name.</param>
/// <param name="Number">Which step, from 1.</param>
/// <param name="Words">What is done, as the booklet says it.</param>
/// <param name="IsByHand">True for a hand step.</param>
internal sealed record HelpStep(string Example, int Number, string Words, bool IsByHand)
{
    /// <summary>What hands do; null for a stitch step.</summary>
    internal HandKind? Hand { get; init; }

    /// <summary>The stage that is sewn; null for a hand step.</summary>
    internal StageId? Stage { get; init; }
}

/// <summary>The examples of the help: small projects that are computed as any other, so that what the help shows is what Ullet does.
/// Each is computed when it is first asked for.</summary>
internal static class HelpExamples
{
    private const double Size = 70;

    private static readonly Evaluator Evaluator = new(new StationCache(), new FontShelf());

    private static readonly EditContext Context = new(Evaluator);

    private static readonly ConcurrentDictionary<string, Lazy<Example>> Known = new(StringComparer.Ordinal);

    /// <summary>The projects in which a hand step is looked for, the plainest first.</summary>
    private static readonly ImmutableArray<string> WithHands =
    [
        .. Enum.GetValues<Method>().Select(NameOf),
        .. PatternShelf.All.Select(pattern => $"pattern-{pattern.Id}"),
        "hands",
    ];

    /// <summary>All steps of a small project sewn by a method, hoop up and all.</summary>
    internal static ImmutableArray<HelpStep> OfMethod(Method method) => Of(NameOf(method)).Steps;

    /// <summary>A step in which hands do something, of the plainest example that has one.</summary>
    internal static HelpStep? OfHand(HandKind kind) =>
        WithHands.SelectMany(name => Of(name).Steps).FirstOrDefault(step => step.Hand == kind);

    /// <summary>The drawing of a stage in a method; null for one that the method does not have.</summary>
    internal static string? Drawing(Method method, StageId stage)
    {
        var example = Of(NameOf(method));
        return example.Steps.FirstOrDefault(step => step.Stage == stage) is { } step
            ? example.Drawn(step.Number)
            : null;
    }

    /// <summary>The drawing of a step; null where there is none.</summary>
    internal static string? Drawing(string example, int number) =>
        Names.Contains(example) && number >= 1 && number <= Of(example).Steps.Length ? Of(example).Drawn(number) : null;

    /// <summary>A picture of a piece with a cover.</summary>
    internal static byte[] Picture(CoverKind kind)
    {
        var method = kind == CoverKind.RawEdge ? Method.RawEdge : Method.CutBeforehand;
        return ProjectPicture.Png(
            Evaluator.Evaluate(Piece(method, kind)),
            PictureSize,
            PictureFrame.Design,
            new Dictionary<string, byte[]>(StringComparer.Ordinal)
        );
    }

    private const int PictureSize = 360;

    /// <summary>Drawings of steps, CSS pixels.</summary>
    private const double DrawingWidth = 480;

    private const double DrawingHeight = 250;

    private const double DrawingType = 14;

    private static ImmutableHashSet<string> Names => [.. WithHands];

    private static string NameOf(Method method) => $"method-{method}";

    private static Example Of(string name) => Known.GetOrAdd(name, _ => new Lazy<Example>(() => Make(name))).Value;

    private static Example Make(string name)
    {
        var project =
            name.StartsWith("method-", StringComparison.Ordinal)
                ? Piece(Enum.Parse<Method>(name["method-".Length..]), null)
            : name.StartsWith("pattern-", StringComparison.Ordinal) ? Pattern(name["pattern-".Length..])
            : ByHand();
        return new Example(name, Evaluator.Evaluate(project));
    }

    private static Project Piece(Method method, CoverKind? cover)
    {
        var blank = Sized("A heart");
        var added = Must(
            new AddPiece
            {
                Name = "heart",
                Shape = new HeartShape(),
                Box = new ElementBox(0, 0, Size, Size * 0.9, 0),
                ClothId = "clay",
                Method = method,
            }.Apply(blank, Context)
        );
        return cover is { } kind && method != Method.RawEdge
            ? Must(new SetCoverKind { ElementId = added.Elements[^1].Id, Kind = kind }.Apply(added, Context))
            : added;
    }

    private static Project Pattern(string id) =>
        Must(new UsePattern { PatternId = id, FontId = FontShelf.UsualId }.Apply(Sized("A pattern"), Context));

    /// <summary>A piece with hand steps of one's own, of kinds that need nothing else to be there.</summary>
    private static Project ByHand() =>
        OwnKinds.Aggregate(
            Piece(Method.CutBeforehand, null),
            (project, kind) =>
                Must(
                    new SetHandStep
                    {
                        Hand = new UserHandStep("", kind, HandTable.Of(kind).Sentence)
                        {
                            HoopOff = HandTable.Of(kind).HoopOff,
                        },
                    }.Apply(project, Context)
                )
        );

    private static readonly ImmutableArray<HandKind> OwnKinds =
    [
        HandKind.ChangeBobbin,
        HandKind.Tape,
        HandKind.Press,
        HandKind.FreeText,
    ];

    private static Project Sized(string title) => Must(BlankProject.Make(title, 100, 100));

    private static Project Must(Result<Project> made) =>
        made.IsOk
            ? made.Value
            : throw new InvalidOperationException($"An example of the help fails: {made.Refusal!.Words}");

    /// <summary>An example as it was computed.</summary>
    private sealed class Example
    {
        private static readonly HankenMeasure Measure = new();

        private readonly ImmutableArray<BookletStep> _steps;

        private readonly ConcurrentDictionary<int, string> _drawings = new();

        internal Example(string name, Evaluated evaluated)
        {
            _steps = [.. BookletMaker.Of(evaluated).Chapters.SelectMany(chapter => chapter.Steps)];
            var hands = evaluated
                .Hoopings.SelectMany(output => output.Program.Steps)
                .OfType<ProgramHands>()
                .ToLookup(step => step.Key, step => step.Kind);
            Steps =
            [
                .. _steps.Select(
                    (step, i) =>
                        new HelpStep(name, i + 1, step.Sentence, step.IsHands)
                        {
                            Stage = step.IsHands
                                ? null
                                : StageTable
                                    .All.Where(row => row.Key == step.Key.Stage)
                                    .Select(row => (StageId?)row.Id)
                                    .FirstOrDefault(),
                            Hand = step.IsHands
                                ? hands[step.Key].Select(kind => (HandKind?)kind).FirstOrDefault()
                                : null,
                        }
                ),
            ];
        }

        internal ImmutableArray<HelpStep> Steps { get; }

        internal string Drawn(int number) =>
            _drawings.GetOrAdd(
                number,
                at =>
                    new SvgInk().Write(
                        Core.Moments.MomentSheet.Of(
                            _steps[at - 1].Moment,
                            DrawingWidth,
                            DrawingHeight,
                            DrawingType,
                            Measure
                        )
                    )
            );
    }
}
