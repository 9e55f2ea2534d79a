using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Keeps on the wall what is placed in an element's frame, while the frame gets another middle and size.</summary>
internal static class FrameChange
{
    /// <summary>The element in another box of the same turn and flip; its operations, the stretches set by hand and those with cover
    /// numbers of their own stay where
    /// they are on the wall.</summary>
    internal static Element Kept(Element element, ElementBox to)
    {
        var old = element.Box;
        var middle = BoxFit.SpotOf(old with { Width = 1, Height = 1 }, new Point(to.X, to.Y));
        var shift = new Point(middle.X, middle.Y);
        Spot Moved(Spot spot) => Kept(spot, old, to);
        return element with
        {
            Box = to,
            Operations = [.. element.Operations.Select(operation => Kept(operation, old, to, shift))],
            Making = element.Making.InFrame(Moved),
            Kept = [.. element.Kept.Select(kept => kept.InFrame(Moved))],
        };
    }

    private static Operation Kept(Operation operation, ElementBox old, ElementBox to, Point shift) =>
        operation switch
        {
            RepeatRound round => round with { CentreX = round.CentreX - shift.X, CentreY = round.CentreY - shift.Y },
            Mirror mirror => mirror with { Distance = mirror.Distance - Across(mirror.Angle, shift) },
            Split { LineId: null } split => split with { Distance = split.Distance - Across(split.Angle, shift) },
            ClearCrumbs clear => clear with { Only = Kept(clear.Only, old, to) },
            BridgeNecks bridge => bridge with { Only = Kept(bridge.Only, old, to) },
            CutNecks cut => cut with { Only = Kept(cut.Only, old, to) },
            _ => operation,
        };

    private static ImmutableArray<Spot> Kept(ImmutableArray<Spot> spots, ElementBox old, ElementBox to) =>
        spots.IsDefault ? spots : [.. spots.Select(spot => Kept(spot, old, to))];

    private static Spot Kept(Spot spot, ElementBox old, ElementBox to) => BoxFit.SpotOf(to, BoxFit.OnWall(old, spot));

    /// <summary>How far a way leads across an axis at an angle, mm.</summary>
    private static double Across(double angle, Point way) =>
        Point.Dot(Affine.Rotate(angle).Apply(new Point(1, 0)), way);
}
