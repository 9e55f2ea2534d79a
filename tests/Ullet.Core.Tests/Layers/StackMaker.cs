using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Layers;

/// <summary>Lays and sews small stacks by hand.</summary>
internal sealed class StackMaker
{
    /// <summary>What most stacks are sewn round, mm.</summary>
    internal static readonly Box Seam = new(-60, -40, 60, 40);

    private readonly List<PhysicalStep> _steps = [];

    internal SewnLayers Done => SewnLayers.After(_steps);

    internal StackMaker Lay(
        string name,
        LayerRole role,
        bool faceUp,
        Box? area = null,
        bool behind = false,
        ClothKind kind = ClothKind.WovenCotton
    )
    {
        var cloth = new Cloth
        {
            Id = name,
            Name = name,
            Colour = "#888888",
            Kind = kind,
        };
        return Change(
            new LayerLaid(name, name, cloth, faceUp, Area(area ?? Seam.Grown(10))) { Role = role, IsBeneath = behind }
        );
    }

    internal StackMaker Fold(string name, bool faceUp, Box area) => Change(new LayerFolded(name, faceUp, Area(area)));

    internal StackMaker Cut(string name, Box window) => Change(new LayerOpened(name, Area(window)));

    internal StackMaker Open(string name, double from, double to, double y) =>
        Change(new LayerParted(name, new Point(from, y), new Point(to, y)));

    internal StackMaker Remove(string name) => Change(new LayerRemoved(name));

    internal StackMaker Sew(string name, params ImmutableArray<Point> line)
    {
        _steps.Add(new PhysicalStep(name, [], [line]));
        return this;
    }

    /// <summary>Once round the seam, but for gaps in its lower side, each from one x to another, mm.</summary>
    internal StackMaker SewRound(string name, params (double From, double To)[] gaps)
    {
        var (left, top, right, bottom) = (Seam.MinX, Seam.MinY, Seam.MaxX, Seam.MaxY);
        double[] stops = [left, .. gaps.OrderBy(gap => gap.From).SelectMany(gap => new[] { gap.From, gap.To }), right];
        var lines = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        lines.Add([new(left, bottom), new(left, top), new(right, top), new(right, bottom)]);
        for (var i = 0; i < stops.Length; i += 2)
        {
            lines.Add([new(stops[i], bottom), new(stops[i + 1], bottom)]);
        }
        _steps.Add(new PhysicalStep(name, [], lines.ToImmutable()));
        return this;
    }

    private StackMaker Change(LayerChange change)
    {
        _steps.Add(new PhysicalStep("", [change], []));
        return this;
    }

    private static ImmutableArray<Region> Area(Box box) => [new Region(Ring.Of(box.Corners()), [])];
}
