using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>A selection kept with its steps, hands, layers, zones, cloths and threads, to be dropped into other projects.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Tags">Words by which it is found.</param>
/// <param name="Clip">The elements with what they name.</param>
public sealed record Part(string Name, ImmutableArray<string> Tags, Clip Clip)
{
    /// <summary>Most tags of one.</summary>
    public const int MostTags = 12;

    /// <summary>Longest tag, characters.</summary>
    public const int LongestTag = 40;

    /// <summary>Its own width, mm.</summary>
    public double Width { get; init; }

    /// <summary>Its own height, mm.</summary>
    public double Height { get; init; }

    /// <summary>What it lies on where it comes from, in words.</summary>
    public string LiesOn { get; init; } = "";

    /// <summary>What hands do with it, a sentence each, in order.</summary>
    public ImmutableArray<string> Hands { get; init; } = [];

    /// <summary>A selection as a part, or why it can't be one. Parts of a pattern come as the stitches that they are, with the hands that
    /// work before them.</summary>
    public static Result<Part> Of(
        Project project,
        IReadOnlyCollection<string> elementIds,
        string name,
        ImmutableArray<string> tags,
        EditContext context
    )
    {
        var refusal = Limits.CheckName(name, "The part") ?? CheckTags(tags);
        if (refusal is not null)
        {
            return refusal;
        }
        return Clip.Of(project, elementIds, context)
            .Then(clip => (Result<Clip>)Sewn(clip))
            .Then(clip =>
            {
                var evaluated = context.Evaluator.Evaluate(project, context.Cancellation);
                var box = clip.Elements.Aggregate(
                    Box.Empty,
                    (all, element) => all.Union(Bands.BoxOf(element, context))
                );
                return box.IsEmpty
                    ? new Refusal(
                        "part-empty",
                        "elementIds",
                        "Nothing of what is selected takes any room; there is no part to keep."
                    )
                    : (Result<Part>)
                        new Part(
                            PlainText.Line(name),
                            [.. tags.Select(PlainText.Line).Where(tag => tag.Length > 0)],
                            clip
                        )
                        {
                            Width = Math.Round(box.Width, 1),
                            Height = Math.Round(box.Height, 1),
                            LiesOn = LiesOnIn(evaluated, elementIds, box),
                            Hands = HandsOf(evaluated, elementIds),
                        };
            });
    }

    /// <summary>True where a search finds it: every word in its name or a tag.</summary>
    public bool Answers(string search) => SearchText.Answers(search, [Name, .. Tags]);

    /// <summary>Stitches that were only kept beside something are sewn again where they go by themselves.</summary>
    private static Clip Sewn(Clip clip) =>
        clip with
        {
            Elements =
            [
                .. clip.Elements.Select(element =>
                    element.Making is OpenedMaking { IsResting: true } opened
                        ? element with
                        {
                            Making = opened with { IsResting = false },
                        }
                        : element
                ),
            ],
        };

    internal static Refusal? CheckTags(ImmutableArray<string> tags) =>
        tags.Length > MostTags
            ? new Refusal("tags-too-many", "tags", $"A part takes up to {MostTags} tags; {tags.Length} were given.")
        : tags.FirstOrDefault(tag => tag.Length > LongestTag) is { } tag
            ? new Refusal(
                "tag-too-long",
                "tags",
                $"A tag has up to {LongestTag} characters; \"{tag[..20]}…\" has {tag.Length:N0}."
            )
        : null;

    /// <summary>The cloth that is uppermost under its middle when its first step comes, before what it lays itself.</summary>
    private static string LiesOnIn(Evaluated evaluated, IReadOnlyCollection<string> ids, Box box)
    {
        var steps = evaluated.RunSheet.Steps;
        var first = Enumerable.Range(0, steps.Length).FirstOrDefault(i => ids.Contains(steps[i].OwnerId), -1);
        return first <= 0
            ? evaluated.Project.FindCloth(evaluated.Project.Hooping.TopClothId)?.Name ?? ""
            : evaluated
                .Layers[first - 1]
                .LastOrDefault(layer => !layer.IsBehind && new AreaIndex(layer.Area).Holds(box.Centre))
                ?.Cloth.Name
                ?? "";
    }

    private static ImmutableArray<string> HandsOf(Evaluated evaluated, IReadOnlyCollection<string> ids) =>
        [
            .. evaluated
                .RunSheet.Steps.OfType<HandStep>()
                .Where(step => ids.Contains(step.OwnerId))
                .Select(step => step.Work.Text)
                .Take(20),
        ];
}

/// <summary>The parts that a household keeps.</summary>
public interface IKeptParts
{
    /// <summary>A part by its id; null where there is none.</summary>
    Part? Find(string id);
}

/// <summary>A shelf without any.</summary>
public sealed class NoParts : IKeptParts
{
    public Part? Find(string id) => null;
}
