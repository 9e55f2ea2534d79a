using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names a tack-down of an opened file before which nobody lays what it holds: hands are needed between a placement and it.</summary>
internal sealed class OpenedHandsCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var files = input
            .Project.Elements.Where(element => element.Making is OpenedMaking { IsResting: false })
            .GroupBy(element => element.MadeAs<OpenedMaking>()!.FileId, StringComparer.Ordinal);
        foreach (var file in files)
        {
            Element? placement = null;
            var stops = false;
            foreach (var element in file.OrderBy(element => element.MadeAs<OpenedMaking>()!.Place))
            {
                var making = element.MadeAs<OpenedMaking>()!;
                if (placement is not null && making.Before.Any(hands => Lays(hands) || !hands.Changes.IsEmpty))
                {
                    placement = null;
                }
                if (making.Role == OpenedRole.Placement)
                {
                    placement = element;
                }
                else if (making.Role == OpenedRole.TackDown && placement is not null)
                {
                    yield return new Finding(
                        "opened-hands-missing",
                        FindingLevel.Warn,
                        element.Id,
                        new Geometry.Point(element.Box.X, element.Box.Y),
                        $"Between {placement.Name}, a placement, and {element.Name}, a tack-down, a cloth has to be laid; the file "
                            + (
                                stops
                                    ? "stops there, and does not say what for."
                                    : "does not say so, and the machine would run straight on."
                            ),
                        new LayBetweenMend(element.Id, HandKind.Lay)
                    );
                    placement = null;
                }
                stops = making.After is [.., { IsUnsaid: true }];
                if (making.After.Any(Lays))
                {
                    placement = null;
                }
            }
        }
    }

    /// <summary>A step that lays a cloth, or one of which only a person knows what it is for.</summary>
    private static bool Lays(OpenedHands hands) => HandTable.Of(hands.Kind).Lays || hands.Kind == HandKind.Insert;
}
