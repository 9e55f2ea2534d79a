using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>The cover of a piece with every number resolved: what was set by hand, then the cloth's preset.</summary>
public static class CoverChoice
{
    /// <summary>The cover that a piece has on its own cloth.</summary>
    public static CoverNumbers Of(AppliqueElement piece, Project project) =>
        Of(piece, project.FindCloth(piece.ClothId));

    /// <summary>The cover that a piece has on a cloth.</summary>
    public static CoverNumbers Of(AppliqueElement piece, Cloth? cloth)
    {
        var set = piece.Stages.Cover;
        var method = AppliqueMethods.Of(piece.Method);
        var cover = Of(set with { Kind = method.OnlyCover ?? set.Kind }, ClothPreset.Of(cloth));
        if (method.CoverLiesOnGround)
        {
            cover = cover with
            {
                Band = cover.Band with { InsideShare = 1 - cover.Band.InsideShare },
                Inset = -cover.Inset,
            };
        }
        if (cover.LiesAcross && !set.Stretches.IsEmpty)
        {
            cover = cover with { Band = cover.Band with { Stretches = Stretches(piece, method) } };
        }
        return cover;
    }

    /// <summary>A cover's numbers by a preset, before a method has a say.</summary>
    public static CoverNumbers Of(CoverSettings set, ClothPreset preset)
    {
        var kind = set.Kind ?? CoverKind.Satin;
        var band = new SatinNumbers(
            set.Width
                ?? kind switch
                {
                    CoverKind.Zigzag => StitchDefaults.ZigzagWidth,
                    CoverKind.Blanket => StitchDefaults.BlanketBite + StitchDefaults.BlanketSpine,
                    CoverKind.Motif => StitchDefaults.MotifWidth,
                    CoverKind.Satin or CoverKind.Bean or CoverKind.RawEdge => preset.CoverWidth,
                },
            set.Spacing
                ?? kind switch
                {
                    CoverKind.Zigzag => StitchDefaults.ZigzagSpacing,
                    CoverKind.Blanket => StitchDefaults.BlanketSpacing,
                    CoverKind.Satin or CoverKind.Motif or CoverKind.Bean or CoverKind.RawEdge => preset.Spacing,
                },
            set.InsideShare
                ?? kind switch
                {
                    CoverKind.Blanket => StitchDefaults.BlanketBite
                        / (StitchDefaults.BlanketBite + StitchDefaults.BlanketSpine),
                    CoverKind.Motif => StitchDefaults.MotifInsideShare,
                    CoverKind.Satin or CoverKind.Zigzag or CoverKind.Bean or CoverKind.RawEdge =>
                        StitchDefaults.CoverInsideShare,
                },
            CoverTable.Of(kind).IsStrokes ? set.Compensation ?? preset.Compensation : 0
        )
        {
            NeedleLimit = preset.NeedleLimit,
            Underlay = Underlay(set, kind),
        };
        return new CoverNumbers(kind, band)
        {
            MotifId = kind == CoverKind.Motif ? StitchUnit.Of(set.MotifId).Id : null,
            UnitLength =
                set.UnitLength
                ?? kind switch
                {
                    CoverKind.Blanket => band.Spacing,
                    CoverKind.Motif => StitchUnit.Of(set.MotifId).Length,
                    CoverKind.Satin or CoverKind.Zigzag or CoverKind.Bean or CoverKind.RawEdge =>
                        StitchDefaults.RunLength,
                },
            IsMirrored = set.IsMirrored,
            Inset = set.Inset ?? (kind == CoverKind.RawEdge ? StitchDefaults.RawEdgeInset : StitchDefaults.BeanInset),
            Passes = set.Passes ?? StitchDefaults.BeanPasses,
        };
    }

    private static UnderlayKinds? Underlay(CoverSettings set, CoverKind kind)
    {
        if (UnderlayChoice.Of(set.Underlay) is { } underlay)
        {
            return underlay;
        }
        // Between loose strokes it would show.
        return CoverTable.Of(kind).IsDense ? null : UnderlayKinds.None;
    }

    private static ImmutableArray<StretchNumbers> Stretches(AppliqueElement piece, IAppliqueMethod method) =>
        [
            .. piece.Stages.Cover.Stretches.Select(stretch => new StretchNumbers(
                BoxFit.OnWall(piece.Box, stretch.At),
                stretch.Width,
                stretch.Spacing,
                method.CoverLiesOnGround ? 1 - stretch.InsideShare : stretch.InsideShare,
                stretch.ThreadId
            )),
        ];
}
