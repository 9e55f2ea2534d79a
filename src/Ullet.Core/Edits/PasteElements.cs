using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Elements lifted out of a project, with the cloths and threads that they name.</summary>
public sealed record Clip(
    ImmutableArray<Element> Elements,
    ImmutableArray<Cloth> Cloths,
    ImmutableArray<MachineThread> Threads
)
{
    /// <summary>The most elements that one clip may hold.</summary>
    public const int MostElements = 2000;

    /// <summary>Copies elements, or says which is not there. One that is made with elements that are not copied comes as nodes.</summary>
    public static Result<Clip> Of(Project project, IReadOnlyCollection<string> elementIds, EditContext context) =>
        Chosen
            .Find(project, elementIds, mayBeLocked: true)
            .Then(elements => Whole(project, elements, context))
            .Then(elements =>
            {
                var cloths = elements
                    .OfType<AppliqueElement>()
                    .Select(element => element.ClothId)
                    .Concat(elements.SelectMany(OtherCloths.Of))
                    .ToHashSet();
                var threads = elements.SelectMany(ThreadIds.Of).ToHashSet();
                return (Result<Clip>)
                    new Clip(
                        elements,
                        [.. project.Cloths.Where(cloth => cloths.Contains(cloth.Id))],
                        [.. project.Threads.Where(thread => threads.Contains(thread.Id))]
                    );
            });

    private static Result<ImmutableArray<Element>> Whole(
        Project project,
        ImmutableArray<Element> elements,
        EditContext context
    )
    {
        var ids = elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        var whole = ImmutableArray.CreateBuilder<Element>();
        foreach (var element in elements)
        {
            if (element.SourceIds().All(ids.Contains))
            {
                whole.Add(element);
                continue;
            }
            var frozen = Freezing.Frozen(project, element, context);
            if (!frozen.IsOk)
            {
                return frozen.Refusal!;
            }
            whole.AddRange(frozen.Value.Elements.Where(made => made.Id == element.Id || project.Find(made.Id) is null));
        }
        return whole.ToImmutable();
    }
}

/// <summary>Puts copied elements on top of the stack; cloths and threads that the project has already are used, others come along.</summary>
public sealed record PasteElements : Edit
{
    public required Clip Clip { get; init; }

    /// <summary>How far from where they were, mm right and down.</summary>
    public double Aside { get; init; } = DuplicateElements.Aside;

    public override string Label(Project before) =>
        Clip.Elements.Length == 1 ? $"Paste {Clip.Elements[0].Name}" : $"Paste {Clip.Elements.Length} elements";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (Check(context) is { } refusal)
        {
            return refusal;
        }
        var (cloths, threads) = (new Dictionary<string, string>(), new Dictionary<string, string>());
        foreach (var cloth in Clip.Cloths)
        {
            var same = project.Cloths.FirstOrDefault(own => own with { Id = cloth.Id } == cloth);
            cloths[cloth.Id] = same?.Id ?? $"c{project.NextNumber}";
            if (same is null)
            {
                project = project with
                {
                    Cloths = project.Cloths.Add(cloth with { Id = cloths[cloth.Id] }),
                    NextNumber = project.NextNumber + 1,
                };
            }
        }
        foreach (var thread in Clip.Threads)
        {
            var same = project.Threads.FirstOrDefault(own => own with { Id = thread.Id } == thread);
            threads[thread.Id] = same?.Id ?? $"t{project.NextNumber}";
            if (same is null)
            {
                project = project with
                {
                    Threads = project.Threads.Add(thread with { Id = threads[thread.Id] }),
                    NextNumber = project.NextNumber + 1,
                };
            }
        }
        var (groups, sources) = (new GroupCopies(), new SourceCopies());
        foreach (var element in Clip.Elements)
        {
            var copy = ThreadIds.Mapped(element, threads) with
            {
                Id = $"e{project.NextNumber}",
                Box = element.Box with { X = element.Box.X + Aside, Y = element.Box.Y + Aside },
                StaysCentred = false,
                IsLocked = false,
                PatternPart = null,
            };
            if (copy is AppliqueElement cloth)
            {
                copy = cloth with
                {
                    ClothId = cloths[cloth.ClothId],
                    Operations = [.. cloth.Operations.Select(operation => OtherCloths.In(operation, cloths))],
                };
            }
            (project, copy) = groups.Regrouped(project, copy);
            sources.Add(element.Id, copy.Id);
            project = project with { Elements = project.Elements.Add(copy), NextNumber = project.NextNumber + 1 };
        }
        return sources.Redirected(project);
    }

    private Refusal? Check(EditContext context)
    {
        if (Clip.Elements.IsDefaultOrEmpty || Clip.Elements.Length > Clip.MostElements)
        {
            return new Refusal(
                "clip-empty",
                "clip",
                $"What was copied holds no elements, or more than {Clip.MostElements}."
            );
        }
        foreach (var element in Clip.Elements)
        {
            var refusal =
                Limits.CheckName(element.Name, "An element of what was copied")
                ?? Limits.CheckBox(element.Box, element.Name, mayBeFlat: element is StitchedLine)
                ?? (element is AppliqueElement stitched ? StageLimits.Check(stitched) : null)
                ?? element switch
                {
                    Piece piece => ShapeLimits.Check(piece.Shape)
                        ?? piece
                            .Holes.Select(hole => ShapeLimits.Check(hole.Shape))
                            .FirstOrDefault(no => no is not null),
                    Words words => WordsLimits.Check(words, context.Evaluator.Fonts),
                    StitchedLine line => ShapeLimits.CheckLine(line.Line),
                    _ => null,
                };
            refusal ??= Operations(element);
            if (refusal is not null)
            {
                return refusal;
            }
            if (element is AppliqueElement cloth && Clip.Cloths.All(own => own.Id != cloth.ClothId))
            {
                return EditRefusals.NoCloth(cloth.ClothId);
            }
        }
        return Clip.Cloths.Select(ChangeCloth.Check).FirstOrDefault(no => no is not null);
    }

    /// <summary>Says what is wrong with an element's operations, or null; their sources must have been copied along.</summary>
    private Refusal? Operations(Element element)
    {
        var clip = ProjectOfClip;
        return element.Operations.Length > OperationLimits.MostOperations
            ? new Refusal("operations-too-many", "clip", $"{element.Name} has too many operations.")
            : element
                .Operations.Select(operation =>
                    OperationLimits.Check(operation) ?? OperationLimits.CheckSources(clip, element, operation)
                )
                .FirstOrDefault(no => no is not null);
    }

    private Project ProjectOfClip =>
        new()
        {
            Title = "",
            Hooping = null!,
            Elements = Clip.Elements,
            Cloths = Clip.Cloths,
        };
}

/// <summary>The threads that an element names for its stages.</summary>
internal static class ThreadIds
{
    internal static IEnumerable<string> Of(Element element) =>
        (
            (string?[])
                [
                    .. (element as AppliqueElement)?.Stages.Cover.Stretches.Select(own => own.ThreadId) ?? [],
                    (element as AppliqueElement)?.Stages.CutGuide.ThreadId,
                    (element as AppliqueElement)?.Stages.Placement.ThreadId,
                    (element as AppliqueElement)?.Stages.TackDown.ThreadId,
                    (element as AppliqueElement)?.Stages.Cover.ThreadId,
                    (element as Words)?.Line.ThreadId,
                    (element as StitchedLine)?.Stitching.ThreadId,
                ]
        ).OfType<string>();

    /// <summary>The element with other threads in the place of its own; one that is not in the map becomes the project's.</summary>
    internal static Element Mapped(Element element, IReadOnlyDictionary<string, string> threads)
    {
        string? Other(string? id) => id is null ? null : threads.GetValueOrDefault(id);
        if (element is StitchedLine line)
        {
            return line with { Stitching = line.Stitching with { ThreadId = Other(line.Stitching.ThreadId) } };
        }
        if (element is Words words)
        {
            element = words with { Line = words.Line with { ThreadId = Other(words.Line.ThreadId) } };
        }
        return element is AppliqueElement { Stages: var stages } cloth
            ? cloth with
            {
                Stages = new StageSettings
                {
                    CutGuide = stages.CutGuide with { ThreadId = Other(stages.CutGuide.ThreadId) },
                    Placement = stages.Placement with { ThreadId = Other(stages.Placement.ThreadId) },
                    TackDown = stages.TackDown with { ThreadId = Other(stages.TackDown.ThreadId) },
                    Cover = stages.Cover with
                    {
                        ThreadId = Other(stages.Cover.ThreadId),
                        Stretches =
                        [
                            .. stages.Cover.Stretches.Select(own => own with { ThreadId = Other(own.ThreadId) }),
                        ],
                    },
                },
            }
            : element;
    }
}

/// <summary>The cloths that an element's splits give to their other side.</summary>
internal static class OtherCloths
{
    internal static IEnumerable<string> Of(Element element) =>
        element.Operations.OfType<Split>().Select(split => split.RightClothId).OfType<string>();

    /// <summary>The operation with other cloths in the place of its own; one that is not in the map becomes the element's.</summary>
    internal static Operation In(Operation operation, IReadOnlyDictionary<string, string> cloths) =>
        operation is Split { RightClothId: { } cloth } split
            ? split with
            {
                RightClothId = cloths.GetValueOrDefault(cloth),
            }
            : operation;
}
