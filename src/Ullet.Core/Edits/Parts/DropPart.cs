using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Drops a kept part into a project, its middle where it is said; its steps go where the rules give them room. In the place of
/// others it takes their spot, their size and their step.</summary>
public sealed record DropPart : Edit
{
    public required string PartId { get; init; }

    /// <summary>Where its middle goes, mm; null for the field's centre, or for what it takes the place of.</summary>
    public double? X { get; init; }

    /// <summary>Where its middle goes, mm.</summary>
    public double? Y { get; init; }

    /// <summary>The element that it lies on: it stands directly above it in the stack; null for on top of all.</summary>
    public string? LiesOn { get; init; }

    /// <summary>The elements whose place it takes; none for a part that comes in beside all others.</summary>
    public ImmutableArray<string> Replaces { get; init; } = [];

    /// <summary>True to sew it with the project's own threads where one is near in colour; false to bring its threads along.</summary>
    public bool TakesNearThreads { get; init; } = true;

    public override string Label(Project before) =>
        Replaces.IsDefaultOrEmpty ? "Drop a part" : $"Replace {NameOf(before, Replaces)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (context.Parts.Find(PartId) is not { } part)
        {
            return new Refusal("part-unknown", "partId", "That part is not on the shelf any more.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        if (LiesOn is { } under && project.Find(under) is null)
        {
            return EditRefusals.NoElement(under);
        }
        var replaced = Replaced(project, context);
        if (!replaced.IsOk)
        {
            return replaced.Refusal!;
        }
        var room = replaced.Value;
        var clip = TakesNearThreads ? NearThreads.In(project, part.Clip) : part.Clip;
        var known = project.Elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        return new PasteElements { Clip = clip, Aside = 0 }
            .Apply(project, context)
            .Then(pasted => Placed(pasted, known, room, context))
            .Then(placed => room is null ? placed : Swapped(project, placed, known, context));
    }

    /// <summary>The room of what is replaced, mm; null for nothing.</summary>
    private Result<Box?> Replaced(Project project, EditContext context)
    {
        if (Replaces.IsDefaultOrEmpty)
        {
            return (Box?)null;
        }
        return Chosen
            .Find(project, Replaces)
            .Then(elements =>
                (Result<Box?>)elements.Aggregate(Box.Empty, (all, element) => all.Union(Bands.BoxOf(element, context)))
            );
    }

    private Result<Project> Placed(Project project, HashSet<string> known, Box? room, EditContext context)
    {
        var added = project.Elements.Where(element => !known.Contains(element.Id)).ToList();
        var box = added.Aggregate(Box.Empty, (all, element) => all.Union(Bands.BoxOf(element, context)));
        var to = room?.Centre ?? new Point(X ?? 0, Y ?? 0);
        // The size of what it takes the place of: as large as fits into its room.
        var factor =
            room is { } place && box.Width > 0 && box.Height > 0
                ? Math.Min(place.Width / box.Width, place.Height / box.Height)
                : 1;
        foreach (var element in added)
        {
            var moved = element.Box with
            {
                X = to.X + ((element.Box.X - box.Centre.X) * factor),
                Y = to.Y + ((element.Box.Y - box.Centre.Y) * factor),
                Width = element.Box.Width * factor,
                Height = element.Box.Height * factor,
            };
            if (Limits.CheckBox(moved, element.Name, mayBeFlat: element.IsLinework) is { } wrong)
            {
                return wrong;
            }
            project = project.With(element with { Box = moved });
        }
        return LiesOn is { } under ? Above(project, under, known) : project;
    }

    private static Project Above(Project project, string under, HashSet<string> known)
    {
        var added = project.Elements.Where(element => !known.Contains(element.Id)).ToList();
        var rest = project.Elements.Where(element => known.Contains(element.Id)).ToList();
        rest.InsertRange(rest.FindIndex(element => element.Id == under) + 1, added);
        return project with { Elements = [.. rest] };
    }

    /// <summary>The part in the stack and in the user's own order where the others stood, and those gone.</summary>
    private Result<Project> Swapped(Project before, Project after, HashSet<string> known, EditContext context)
    {
        var added = after.Elements.Where(element => !known.Contains(element.Id)).ToList();
        var rest = after.Elements.Where(element => known.Contains(element.Id)).ToList();
        var at = rest.FindIndex(element => Replaces.Contains(element.Id));
        rest.InsertRange(at, added);
        var swapped = after with { Elements = [.. rest] };
        var sheet = context.Evaluator.Evaluate(swapped, context.Cancellation).RunSheet;
        var own = swapped.RunSheet.Sequence;
        if (!own.IsEmpty)
        {
            // Its steps stand in the user's order where the first of the old ones did.
            var steps = sheet
                .Steps.Where(step => added.Exists(element => element.Id == step.OwnerId))
                .Select(step => step.Key);
            var place = own.Select((key, i) => (key, i))
                .FirstOrDefault(pair => Replaces.Contains(pair.key.OwnerId), (default, own.Length))
                .i;
            swapped = swapped with
            {
                RunSheet = swapped.RunSheet with
                {
                    Sequence = own.InsertRange(place, steps.Where(key => !own.Contains(key))),
                },
            };
        }
        return new RemoveElements { ElementIds = Replaces, Dependents = DependentsFate.Release }.Apply(
            swapped,
            context
        );
    }
}
