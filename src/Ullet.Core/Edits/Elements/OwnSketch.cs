using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>A group that a person put on the shelf of small drawings: outlines with what was made of them.</summary>
/// <param name="Name">What it shows.</param>
/// <param name="Words">Other words by which it is found.</param>
/// <param name="Clip">Its elements as nodes, from the lowest to the topmost, with their cloths and threads.</param>
public sealed record OwnSketch(string Name, string Words, Clip Clip)
{
    /// <summary>Most parts of one drawing.</summary>
    public const int MostParts = 100;

    private const int LongestWords = 200;

    /// <summary>A group as a drawing, or why it can't be one. Words and live operations become plain outlines; zones, basting and
    /// construction shapes stay behind.</summary>
    /// <param name="project">Where the group stands.</param>
    /// <param name="elementIds">Its elements.</param>
    /// <param name="name">What it shows.</param>
    /// <param name="words">Other words by which it is found.</param>
    /// <param name="context">Where outlines come from.</param>
    public static Result<OwnSketch> Of(
        Project project,
        IReadOnlyCollection<string> elementIds,
        string name,
        string words,
        EditContext context
    )
    {
        (name, words) = (PlainText.Line(name), PlainText.Line(words));
        if (Limits.CheckName(name, "The drawing") is { } wrong)
        {
            return wrong;
        }
        if (words.Length > LongestWords)
        {
            return new Refusal(
                "words-too-long",
                "words",
                $"Words to find it by may be {LongestWords} characters long."
            );
        }
        return Chosen
            .Find(project, elementIds, mayBeLocked: true)
            .Then(found => Outlined(project, [.. found.Where(element => RoleOf(element) is not null)], context))
            .Then(outlined => Clip.Of(outlined.Project, outlined.Ids, context))
            .Then(clip => (Result<OwnSketch>)new OwnSketch(name, words, Middled(clip, context)));
    }

    /// <summary>The drawing as it stands on the shelf, on a square of 100 units.</summary>
    /// <param name="id">Names it for ever.</param>
    public Sketch Drawn(string id)
    {
        var scale = SketchMaking.Square / LargerSide;
        return new Sketch(id, Name, Words, [.. Clip.Elements.Select(element => Part(element, scale))]);
    }

    /// <summary>Its larger side as it was kept, mm.</summary>
    [JsonIgnore]
    public double LargerSide
    {
        get
        {
            var box = Clip
                .Elements.Select(element => SketchMaking.OutlineOf(element).Bounds())
                .Aggregate((all, one) => all.Union(one));
            return Math.Max(box.Width, box.Height);
        }
    }

    /// <summary>What an element is in a drawing; null for what is neither sewn nor cut.</summary>
    internal static SketchRole? RoleOf(Element element) =>
        element.Making switch
        {
            ClothMaking or FilledMaking => SketchRole.Body,
            SatinMaking => SketchRole.Detail,
            LineMaking => element.Form is DrawingForm { IsOpen: true } ? SketchRole.Stroke : SketchRole.Body,
            BastingMaking or ZoneMaking or ConstructionMaking => null,
            _ => throw new ArgumentOutOfRangeException(nameof(element), element.Making, "no such making"),
        };

    /// <summary>What a part is: its role as it is made now, its colour that of its cloth or thread.</summary>
    internal SketchNature NatureOf(Element element)
    {
        var known = element.Sketch is null ? null : SketchShelf.PartOf(element);
        return new SketchNature(
            known?.Name ?? element.Name,
            known?.Role ?? RoleOf(element) ?? SketchRole.Detail,
            ColourOf(element),
            element.SettingsOf<FilledMaking>()?.Angle ?? known?.Turn ?? new FilledMaking().Angle
        );
    }

    private SketchPart Part(Element element, double scale)
    {
        var nature = NatureOf(element);
        return new SketchPart(
            nature.Name,
            nature.Role,
            nature.Colour,
            element.Form.ShapeOf()!,
            element.Box.Scaled(scale),
            nature.Turn
        );
    }

    private SketchColour ColourOf(Element element)
    {
        if (
            element.Making is ClothMaking made
            && Clip.Cloths.FirstOrDefault(own => own.Id == made.ClothId) is { } cloth
        )
        {
            return Named(cloth.Name, cloth.Colour);
        }
        var ids = NamedIds.ThreadsOf(element).Reverse().ToList();
        var thread = ids.Select(id => Clip.Threads.FirstOrDefault(own => own.Id == id))
            .FirstOrDefault(own => own is not null);
        return thread is null ? SketchColours.Soot : Named(thread.Name, thread.Colour);
    }

    private static SketchColour Named(string name, string colour) => new($"own{colour.TrimStart('#')}", name, colour);

    /// <summary>The group as nodes: what has words, holes or live operations is drawn out.</summary>
    private static Result<(Project Project, ImmutableArray<string> Ids)> Outlined(
        Project project,
        ImmutableArray<Element> parts,
        EditContext context
    )
    {
        if (parts.IsEmpty)
        {
            return new Refusal(
                "sketch-empty",
                "elementIds",
                "Nothing of what is selected is sewn or cut by itself, so it makes no drawing."
            );
        }
        var before = project.Elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        var ids = parts.Select(part => part.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var part in parts)
        {
            Budget.Spend();
            if (part.Operations.IsEmpty && part.Form.ShapeOf() is not null && part.Form.HolesOf().IsEmpty)
            {
                continue;
            }
            var frozen = Freezing.Frozen(project, part, context);
            if (!frozen.IsOk)
            {
                return frozen.Refusal!;
            }
            project = frozen.Value;
        }
        ImmutableArray<string> all =
        [
            .. project.Elements.Select(element => element.Id).Where(id => ids.Contains(id) || !before.Contains(id)),
        ];
        return all.Length <= MostParts
            ? (project, all)
            : new Refusal(
                "sketch-too-many-parts",
                "elementIds",
                $"A drawing has up to {MostParts} parts; this one would have {all.Length}."
            );
    }

    /// <summary>The elements about their middle, as one group.</summary>
    private static Clip Middled(Clip clip, EditContext context)
    {
        var box = clip
            .Elements.Select(element => context.Evaluator.Bare(element).Whole.Bounds())
            .Aggregate((all, one) => all.Union(one));
        return clip with
        {
            Elements =
            [
                .. clip.Elements.Select(element =>
                    element with
                    {
                        Box = element.Box.Moved(-box.Centre.X, -box.Centre.Y),
                        GroupId = clip.Elements.Length > 1 ? "g0" : null,
                        StaysCentred = false,
                        IsLocked = false,
                        IsHidden = false,
                        PatternPart = null,
                    }
                ),
            ],
        };
    }
}
