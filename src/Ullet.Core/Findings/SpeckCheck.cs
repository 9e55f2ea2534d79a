using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>Has a piece parts so small that no cover can be sewn round them?</summary>
internal sealed class SpeckCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var specks = group
                .SelectMany(work => work.Outline.Flatten(), (work, region) => (work.Part, region.Shell))
                .Where(part => !part.Part.Element.Stages.Cover.Off && CoverEdges.IsSpeck(part.Shell))
                .ToList();
            if (specks.Count > 0)
            {
                var (piece, shell) = specks[0];
                var others = specks.Count > 1 ? $" There are {specks.Count} of them." : "";
                yield return new Finding(
                    "part-too-small",
                    FindingLevel.Warn,
                    group.Key,
                    shell.Bounds().Centre,
                    $"A part of {piece.Name} is only {LengthText.Mm(Math.Max(shell.Bounds().Width, shell.Bounds().Height))} "
                        + $"across and gets no cover.{others} Clear the crumbs, or make the piece larger.",
                    group.Sum(work => work.Outline.Parts.Length) > specks.Count
                        ? new ClearCrumbsMend(group.Key, specks.Max(part => Narrow(part.Shell.Bounds())) + 0.1)
                        : null
                );
            }
        }
    }

    private static double Narrow(Box box) => Math.Max(box.Width, box.Height);
}
