using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Does the presser foot come onto a zip's slider?</summary>
internal sealed class FootCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var radius = input.Project.Hooping.FootRadius;
        for (var i = 0; i < input.RunSheet.Steps.Length && i < input.Program.Steps.Length; i++)
        {
            if (input.RunSheet.Steps[i] is not StitchStep step || input.Program.Steps[i] is not ProgramStitches sewn)
            {
                continue;
            }
            foreach (var layer in input.Layers[i].Where(layer => layer.Cloth.Kind == ClothKind.Zip))
            {
                if (
                    layer.Slider is { } middle
                    && Struck(sewn, ZipSlider.Taken.Moved(middle.X, middle.Y), radius) is { } at
                )
                {
                    yield return new Finding(
                        "slider-under-foot",
                        FindingLevel.Stop,
                        input.Project.Find(step.OwnerId)?.Id,
                        at,
                        $"At \"{StepNames.Of(step)}\" the presser foot, which reaches {radius:0.#} mm about the needle, comes onto the slider of "
                            + $"{layer.Name}. Move the slider, or sew farther from it."
                    );
                }
            }
        }
    }

    private static Point? Struck(ProgramStitches sewn, Box slider, double radius)
    {
        foreach (var at in sewn.OwnPoints())
        {
            Budget.Spend();
            var (x, y) = (Math.Clamp(at.X, slider.MinX, slider.MaxX), Math.Clamp(at.Y, slider.MinY, slider.MaxY));
            if (at.DistanceTo(new Point(x, y)) < radius)
            {
                return at;
            }
        }
        return null;
    }
}
