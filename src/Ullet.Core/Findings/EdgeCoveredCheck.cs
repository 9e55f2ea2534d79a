using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>Does the cover as sewn hide the cut edge wherever it may end up, and bite enough inside it?</summary>
internal sealed class EdgeCoveredCheck : ICheck
{
    /// <summary>Wanted bite inside the edge, mm: woven cloth frays, felt and vinyl hardly.</summary>
    private const double BiteWoven = 1.0;

    private const double BiteFirm = 0.5;

    /// <summary>Mends go up in these steps of width, mm.</summary>
    private const double WidthStep = 0.1;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (
            var piece in input
                .Project.Elements.OfType<AppliqueElement>()
                .Where(piece => piece is { IsConstruction: false, Stages.Cover.Off: false })
        )
        {
            var cloth = input.Project.FindCloth(piece.ClothId)!;
            var wanted = cloth.Kind is ClothKind.Felt or ClothKind.Vinyl ? BiteFirm : BiteWoven;
            var cover = StageNumbers.Satin(piece.Stages.Cover);
            var (bite, beyond) = Margins(piece, cover.Width, cover.InsideShare);
            if (Holds(bite, beyond, wanted))
            {
                continue;
            }
            var peeps = beyond < 0;
            yield return new Finding(
                peeps ? "edge-peeps-out" : "bite-too-small",
                peeps ? FindingLevel.Stop : FindingLevel.Warn,
                piece.Id,
                null,
                peeps
                    ? $"The edge of {piece.Name} may peep out from under its cover by {LengthText.Mm(-beyond)}: the cover "
                        + $"reaches {LengthText.Mm(cover.Width * (1 - cover.InsideShare))} outside the outline."
                    : $"The cover of {piece.Name} may hold only {LengthText.Mm(Math.Max(bite, 0))} of its edge; "
                        + $"{LengthText.Mm(wanted)} is wanted on {cloth.Name}.",
                MendFor(piece, cover.InsideShare, wanted)
            );
        }
    }

    /// <summary>Cover left inside the edge at its innermost place, and outside it at its outermost, mm.</summary>
    private static (double Bite, double Beyond) Margins(AppliqueElement piece, double width, double insideShare)
    {
        var tried = piece with
        {
            Stages = piece.Stages with { Cover = piece.Stages.Cover with { Width = width, InsideShare = insideShare } },
        };
        var shift = AppliqueMethods.Of(piece.Method).Shift(StageNumbers.TackInset(tried));
        return ((width * insideShare) - shift.Inwards, (width * (1 - insideShare)) - shift.Outwards);
    }

    private static bool Holds(double bite, double beyond, double wanted) => bite >= wanted - 1e-9 && beyond >= -1e-9;

    private static Mend? MendFor(AppliqueElement piece, double share, double wanted)
    {
        var (least, most) = StitchRanges.CoverWidth;
        var steps = (int)Math.Round((most - least) / WidthStep);
        for (var i = 0; i <= steps; i++)
        {
            var width = Math.Round(least + (i * WidthStep), 1);
            var (bite, beyond) = Margins(piece, width, share);
            if (Holds(bite, beyond, wanted))
            {
                return new CoverWidthMend(piece.Id, width);
            }
        }
        var usual = Margins(piece, StitchDefaults.CoverWidth, StitchDefaults.CoverInsideShare);
        return Holds(usual.Bite, usual.Beyond, wanted)
            ? new InsideShareMend(piece.Id, StitchDefaults.CoverInsideShare)
            : null;
    }
}
