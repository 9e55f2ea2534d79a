using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how something is sewn in satin. All of it is given: a null goes back to what cloth and thread ask for.</summary>
public sealed record SetSatin : MakingEdit<SatinMaking>
{
    public required SatinMaking Satin { get; init; }

    public override string Label(Project before) => $"Change the satin of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, SatinMaking making, Project project)
    {
        foreach (var thread in new[] { Satin.ThreadId, Satin.Edge?.ThreadId }.OfType<string>())
        {
            if (project.FindThread(thread) is null)
            {
                return EditRefusals.NoThread(thread);
            }
        }
        if (Satin.Directions.Length > SatinMaking.MostDirections)
        {
            return new Refusal(
                "directions-too-many",
                "directions",
                $"At most {SatinMaking.MostDirections} direction lines may lie across one element."
            );
        }
        // An open line has no area: it stays a band.
        var changed = element.FormedAs<DrawingForm>() is { IsOpen: true } ? Satin with { AlongLines = true } : Satin;
        return MakingModules.Of(changed).Check(changed) is { } no ? no : project.With(element.WithSettings(changed));
    }
}
