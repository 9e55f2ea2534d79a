using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
        var ids = new IdMap(cloths, threads, NewIds(ref project)) { Files = FileCopies.Brought(ref project, Clip) };
        foreach (var element in Clip.Elements)
        {
            var copy = NamedIds.Renamed(element, ids) with
            {
                Id = ids.Elements[element.Id],
                Box = element.Box.Moved(Aside, Aside),
                StaysCentred = false,
                IsLocked = false,
                PatternPart = null,
            };
            (project, copy) = groups.Regrouped(project, copy);
            sources.Add(element.Id, copy.Id);
            project = project with { Elements = project.Elements.Add(copy) };
        }
        return sources.Redirected(project);
    }

    /// <summary>The ids that the copies get, by those that they had.</summary>
    private Dictionary<string, string> NewIds(ref Project project)
    {
        var ids = new Dictionary<string, string>(StringComparer.Ordinal);
        var number = project.NextNumber;
        foreach (var element in Clip.Elements)
        {
            ids[element.Id] = $"e{number++}";
        }
        project = project with { NextNumber = number };
        return ids;
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
                ?? Limits.CheckBox(element.Box, element.Name, mayBeFlat: element.IsLinework)
                ?? element
                    .Makings()
                    .Select(making => MakingModules.Of(making).Check(making))
                    .FirstOrDefault(no => no is not null)
                ?? FormModules.Of(element.Form).CheckAdded(element, context.Evaluator.Fonts)
                ?? MakingFit.Check(element, MakingModules.Of(element))
                ?? element.Sketch?.Check()
                ?? Operations(element);
            if (refusal is not null)
            {
                return refusal;
            }
            if (NamedIds.ClothsOf(element).FirstOrDefault(id => Clip.Cloths.All(own => own.Id != id)) is { } missing)
            {
                return EditRefusals.NoCloth(missing);
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
            Hoopings = [],
            Elements = Clip.Elements,
            Cloths = Clip.Cloths,
        };
}
