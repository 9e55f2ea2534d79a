using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Is there a ground to cut a window into? Where the stabiliser is hooped alone there is none.</summary>
internal sealed class WindowGroundCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input.Project.Hooping.GroundClothId is not null || input.Plan is not null
            ? []
            : input
                .Project.Appliques()
                .Where(piece => piece.Method == Method.SetBehind)
                .Select(piece => new Finding(
                    "window-without-ground",
                    FindingLevel.Stop,
                    piece.Id,
                    new Geometry.Point(piece.Box.X, piece.Box.Y),
                    $"{piece.Name} is set behind, and the stabiliser is hooped alone: there is no ground to cut its window into. Hoop a "
                        + "ground, or choose another method."
                ));
}
