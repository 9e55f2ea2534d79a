using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is a layer so large that it rides on the hoop's frame?</summary>
internal sealed class LayerSizeCheck : ICheck
{
    /// <summary>The frame begins about this far outside the sewing field, mm.</summary>
    private const double ToFrame = 15;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var hoop = input.Project.Hooping.Hoop;
        var field = Box.Centred(hoop.FieldWidth, hoop.FieldHeight);
        var design = Box.Of(input.Program.Steps.OfType<ProgramStitches>().SelectMany(step => step.OwnPoints()));
        if (!field.Contains(design))
        {
            // That is a finding of its own; with it mended this one may be gone.
            yield break;
        }
        var folded = input
            .RunSheet.Steps.OfType<HandStep>()
            .SelectMany(hand => hand.Work.Changes)
            .OfType<LayerFolded>()
            .Select(change => change.LayerId)
            .ToHashSet(StringComparer.Ordinal);
        var inside = field.Grown(ToFrame);
        foreach (
            var hand in input
                .RunSheet.Steps.OfType<HandStep>()
                .Where(hand => hand.Work.Kind != Projects.HandKind.HoopUp)
        )
        {
            // What is folded back hangs over the frame only until then.
            foreach (var laid in hand.Work.Changes.OfType<LayerLaid>().Where(laid => !folded.Contains(laid.LayerId)))
            {
                var box = laid.Area.Aggregate(Box.Empty, (all, region) => all.Union(region.Bounds()));
                if (laid.IsBeneath && !hoop.Inside.Contains(box, 1e-6))
                {
                    yield return new Finding(
                        "behind-too-large",
                        FindingLevel.Warn,
                        input.Project.Find(laid.LayerId)?.Id,
                        box.Centre,
                        $"{laid.Name} takes {box.Width:0} × {box.Height:0} mm on the back of the hoop; between its ring there are "
                            + $"{hoop.Inside.Width:0} × {hoop.Inside.Height:0} mm. Cut it smaller, or use a larger hoop."
                    );
                }
                else if (!inside.Contains(box))
                {
                    yield return new Finding(
                        "layer-rides",
                        FindingLevel.Tip,
                        input.Project.Find(laid.LayerId)?.Id,
                        box.Centre,
                        $"{laid.Name} is larger than the inside of the hoop: fold its edges in or tape them, so that it does not ride on "
                            + "the frame."
                    );
                }
            }
        }
    }
}
