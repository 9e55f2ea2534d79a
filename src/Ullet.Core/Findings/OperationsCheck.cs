using Ullet.Core.Applique;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names operations that leave nothing or far too much, and the remainders and thin places of what they leave.</summary>
internal sealed class OperationsCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) => input.Operated.SelectMany(Judge);

    private static IEnumerable<Finding> Judge(OperatedElement operated)
    {
        var element = operated.Element;
        foreach (var (operation, state) in operated.Operations)
        {
            if (state == OperationState.Empty)
            {
                yield return new Finding(
                    "operation-empty",
                    FindingLevel.Stop,
                    element.Id,
                    null,
                    $"{Words(operation)} leaves nothing of {element.Name}, so it is neither sewn nor cut. Change its numbers, mute "
                        + "it, or move its sources."
                );
            }
            if (state == OperationState.TooMany)
            {
                yield return new Finding(
                    "operation-too-many",
                    FindingLevel.Stop,
                    element.Id,
                    null,
                    $"{Words(operation)} would give {element.Name} more than {OperationStation.MostParts} parts or "
                        + $"{OperationStation.MostNodes} nodes, so it was passed over. Ask for fewer copies."
                );
            }
        }
        if (element.IsConstruction)
        {
            yield break;
        }
        foreach (var group in operated.Leftovers.GroupBy(left => left.Kind))
        {
            if (OfKind(element, group.Key, [.. group]) is { } finding)
            {
                yield return finding;
            }
        }
    }

    private static Finding? OfKind(Element element, LeftoverKind kind, List<Leftover> found)
    {
        var (count, worst) = (found.Count, found.MinBy(left => left.Width)!);
        var width = LengthText.Mm(worst.Width);
        return kind switch
        {
            LeftoverKind.Crumb => new Finding(
                "crumbs",
                FindingLevel.Warn,
                element.Id,
                worst.At,
                $"{element.Name} has {Count(count, "crumb")}: parts under {Remainders.CrumbArea:0} mm² or {Remainders.CrumbWidth:0} mm "
                    + "wide, which nobody can lay or trim.",
                new ClearCrumbsMend(element.Id)
            ),
            LeftoverKind.Neck => new Finding(
                "necks",
                FindingLevel.Warn,
                element.Id,
                worst.At,
                $"{element.Name} hangs together by {Count(count, "bridge")} under {Remainders.NeckWidth:0} mm; the thinnest is {width}.",
                new BridgeNecksMend(element.Id, Remainders.NeckWidth + LeftoverMends.Clear)
            ),
            LeftoverKind.Tail => new Finding(
                "thin-ends",
                FindingLevel.Tip,
                element.Id,
                worst.At,
                $"{element.Name} runs out into {Count(count, "long end")} under {Remainders.NeckWidth:0} mm wide, which the cover "
                    + "closes over.",
                new CutTailsMend(element.Id)
            ),
            // Places where covers meet are judged on the stitches themselves.
            _ => null,
        };
    }

    private static string Count(int count, string what) => count == 1 ? $"a {what}" : $"{count} {what}s";

    private static string Words(Operation operation) => OperationTable.Of(operation).Subject;
}
