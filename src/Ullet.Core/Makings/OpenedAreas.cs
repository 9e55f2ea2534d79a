using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Hand steps of opened stitches where their element stands.</summary>
/// <param name="fileId">The opening: layers of two openings never mix.</param>
/// <param name="map">From the file's mm to the wall.</param>
/// <param name="project">The document, for its cloths.</param>
internal sealed class OpenedAreas(string fileId, Affine map, Project project)
{
    internal HandWorkAct Act(OpenedHands hands, string name) =>
        new(
            ActPhase.Cover,
            new HandWork(
                hands.Kind,
                name,
                hands.Text,
                hands.Warning,
                hands.HoopOff,
                [.. hands.Changes.Select(Change).OfType<LayerChange>()]
            )
            {
                Check = hands.Check,
            }
        );

    private LayerChange? Change(OpenedChange change) =>
        change switch
        {
            OpenedLaid laid => project.FindCloth(laid.ClothId) is { } cloth
                ? new LayerLaid(LayerOf(laid.Layer), laid.Name, cloth, laid.FaceUp, Area(laid.Area))
                {
                    IsBeneath = laid.IsBeneath,
                    Role = laid.Role,
                    Slider = laid.Slider is { } slider ? map.Apply(slider) : null,
                }
                : null,
            OpenedCutBack cut => new LayerTrimmed(LayerOf(cut.Layer), Area(cut.Area)),
            OpenedWindow window => new LayerOpened(LayerOf(window.Layer), Area(window.Area)),
            OpenedFold fold => new LayerFolded(LayerOf(fold.Layer), fold.FaceUp, Area(fold.Area)),
            OpenedParted parted => new LayerParted(LayerOf(parted.Layer), map.Apply(parted.From), map.Apply(parted.To)),
            OpenedRemoved removed => new LayerRemoved(LayerOf(removed.Layer)),
            OpenedCutOut cutOut => new WorkCutOut(Area(cutOut.Area)),
            _ => throw new InvalidOperationException($"{change.GetType().Name} is no change of layers."),
        };

    private string LayerOf(string layer) => HandWork.IsHooped(layer) ? layer : $"{fileId}-{layer}";

    private ImmutableArray<Region> Area(ImmutableArray<OpenedArea> areas) =>
        [
            .. areas.Select(area => new Region(
                Ring(area.Rings[0], clockwise: true),
                [.. area.Rings.Skip(1).Select(ring => Ring(ring, clockwise: false))]
            )),
        ];

    private Ring Ring(ImmutableArray<double> places, bool clockwise)
    {
        var ring = Geometry.Ring.Of([
            .. Enumerable
                .Range(0, places.Length / 2)
                .Select(i => map.Apply(new Point(places[2 * i], places[(2 * i) + 1]))),
        ]);
        return ring.SignedArea > 0 == clockwise ? ring : ring.Reversed();
    }
}
