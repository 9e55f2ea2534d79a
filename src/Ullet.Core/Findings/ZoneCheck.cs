using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does any needle enter a zone that is kept clear, or leave one that it must stay within?</summary>
internal sealed class ZoneCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var zone in input.Project.Elements)
        {
            Budget.Spend();
            if (zone.MadeAs<ZoneMaking>() is not { Role: not ZoneRole.Guide } making)
            {
                continue;
            }
            var outline = input.Outlines[zone.Id];
            if (outline.Parts.IsEmpty)
            {
                continue;
            }
            var (area, box) = (new AreaIndex(outline), outline.Bounds());
            var keeps = making.Role == ZoneRole.KeepClear;
            foreach (
                var owner in Steps(making, input.Program)
                    .Where(step => !making.Allows.Contains(step.Key.OwnerId))
                    .GroupBy(step => step.Key.OwnerId, StringComparer.Ordinal)
            )
            {
                var wrong = owner
                    .SelectMany(step => step.OwnPoints())
                    .Select(at => (Point?)at)
                    .FirstOrDefault(at => (box.Contains(at!.Value) && area.Holds(at.Value)) == keeps);
                if (wrong is not { } place)
                {
                    continue;
                }
                var name = owner.First().OwnerName;
                yield return keeps
                    ? new Finding(
                        "zone-entered",
                        FindingLevel.Stop,
                        owner.Key,
                        place,
                        $"The needle sews {name} into \"{zone.Name}\", which is to be kept clear. Move it, or make it smaller."
                    )
                    : new Finding(
                        "zone-left",
                        FindingLevel.Stop,
                        owner.Key,
                        place,
                        $"The stitches of {name} reach out of \"{zone.Name}\", within which all is to stay."
                    );
            }
        }
    }

    /// <summary>The stitch steps during which a zone is there.</summary>
    private static IEnumerable<ProgramStitches> Steps(ZoneMaking zone, StitchProgram program)
    {
        var steps = program.Steps.ToList();
        var from = zone.From is { } after ? steps.FindIndex(step => step.Key == after) : -1;
        var until = zone.Until is { } with ? steps.FindIndex(step => step.Key == with) : -1;
        return steps.Skip(from + 1).Take((until < 0 ? steps.Count : until) - from - 1).OfType<ProgramStitches>();
    }
}
