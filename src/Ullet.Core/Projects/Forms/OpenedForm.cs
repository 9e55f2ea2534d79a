using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>Needle points of a stitch file, as they stood there; fitted to the element's box.</summary>
/// <param name="Needle">The points in the file's own mm (<see cref="NeedlePack"/>).</param>
public sealed record OpenedForm(string Needle) : Form
{
    private ImmutableArray<OpenedPoint> _points;

    /// <summary>A box, kept as one reference: forms are read from several threads.</summary>
    private object? _bounds;

    /// <summary>The points in the file's own mm; none where the text can't be read.</summary>
    [JsonIgnore]
    public ImmutableArray<OpenedPoint> Points =>
        _points.IsDefault ? _points = NeedlePack.Unpack(Needle) ?? [] : _points;

    /// <summary>The box of all places that the needle goes into, file's mm; empty for none.</summary>
    [JsonIgnore]
    public Box Bounds =>
        (Box)(
            _bounds ??= Points
                .Where(point => point.Move == OpenedMove.Stitch)
                .Aggregate(Box.Empty, (box, point) => box.Including(point.At))
        );

    /// <summary>A form of points.</summary>
    public static OpenedForm Of(IReadOnlyList<OpenedPoint> points) => new(NeedlePack.Pack(points));

    public bool Equals(OpenedForm? other) => other is not null && Needle == other.Needle;

    public override int GetHashCode() => Needle.GetHashCode(StringComparison.Ordinal);
}
