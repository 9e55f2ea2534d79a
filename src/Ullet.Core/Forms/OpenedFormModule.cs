using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>Opened stitches: what they take on the wall is told by the lines that they run along, simplified.</summary>
internal sealed class OpenedFormModule : FormModule<OpenedForm>
{
    /// <summary>Most needle points of one block.</summary>
    private const int MostPoints = 400_000;

    /// <summary>Lines with more places than this are told by the hull about them.</summary>
    private const int MostPlaces = 400;

    /// <summary>Strokes with more needle points than this are told by the hull about them.</summary>
    private const int MostStrokes = 1_000;

    /// <summary>How far a told line may lie from the needle points, mm.</summary>
    private const double Drift = 0.15;

    private protected override string Called(OpenedForm form) => "Opened stitches";

    private protected override ElementOutline Outline(OpenedForm form, Element element, IGlyphSource fonts)
    {
        var map = OpenedFrame.Map(form, element.Box);
        var sections = NeedleSections.Of(form.Points);
        // Strokes to and fro have nothing that could be left out, and take long to be asked.
        var isDense = element.Making is OpenedMaking { Look: not (OpenedLook.Run or OpenedLook.Bean) };
        if (isDense && form.Points.Length > MostStrokes)
        {
            var round = Hull(sections).ToList();
            if (round.Count > 0)
            {
                return Told(round, map);
            }
        }
        var lines = sections.Select(points => Simplify.Line(points, Drift)).Where(line => line.Length > 1).ToList();
        if (lines.Sum(line => line.Length) > MostPlaces)
        {
            var hull = Hull(sections).ToList();
            lines = hull.Count > 0 ? hull : lines;
        }
        return Told(lines, map);
    }

    /// <summary>The hull about all places, as a line that closes; none for places on one line.</summary>
    private static IEnumerable<ImmutableArray<Point>> Hull(ImmutableArray<ImmutableArray<Point>> sections)
    {
        var hull = Simplify.Hull([.. sections.SelectMany(points => points)]);
        return hull.Length > 2
            ?
            [
                [.. hull, hull[0]],
            ]
            : [];
    }

    private static ElementOutline Told(IReadOnlyList<ImmutableArray<Point>> lines, Affine map) =>
        new(
            new Outline([])
            {
                Lines =
                [
                    .. lines.Select(line => new OpenPath([
                        .. line.Zip(line.Skip(1), (from, to) => Curve.Line(map.Apply(from), map.Apply(to))),
                    ])),
                ],
            },
            []
        );

    private protected override ContentHash Key(OpenedForm form, IGlyphSource fonts) =>
        ContentHash.Of(form.Needle, "opened");

    private protected override Refusal? Check(OpenedForm form) =>
        Missing(form) is { } why
            ? new Refusal("stitches-broken", "form", $"Its needle points can't be used: {why}.")
            : null;

    private protected override Refusal? CheckAdded(OpenedForm form, Element element, IGlyphSource fonts) => Check(form);

    private protected override string? Missing(OpenedForm form) =>
        form.Needle.Length > MostPoints * 8 ? "they are too many to be read"
        : NeedlePack.Unpack(form.Needle) is not { } points ? "they are no needle points"
        : points.Length > MostPoints ? $"a block takes up to {MostPoints:N0} of them"
        : points.All(point => point.Move != OpenedMove.Stitch) ? "there is none"
        : null;

    private protected override OpenedForm Clamped(OpenedForm form) => form;
}
