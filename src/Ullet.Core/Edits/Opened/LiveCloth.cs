using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>A recovered piece's settings as cloth: only what differs from what the method does by itself is set by hand.</summary>
internal static class LiveCloth
{
    /// <summary>Insets nearer than this to the method's own are the method's own, mm.</summary>
    private const double SameInset = 0.12;

    /// <param name="piece">What was read off the stitches.</param>
    /// <param name="cloth">What it is made of.</param>
    /// <param name="threadOf">The thread of a block.</param>
    internal static ClothMaking Of(RecoveredPiece piece, Cloth cloth, Func<int?, string?> threadOf)
    {
        var making = new ClothMaking { ClothId = cloth.Id, Method = piece.Method };
        var cover = Cover(piece, cloth, threadOf);
        making = making with
        {
            Stages = new StageSettings
            {
                Placement = new RunSettings
                {
                    ThreadId = threadOf(piece.Placement),
                    Off = IsPlaced(piece) && piece.Placement is null,
                },
                Cover = cover,
            },
        };
        var usual = AppliqueMethods.Of(piece.Method).TackInset;
        var hasTack = AppliqueMethods.Of(piece.Method).Stages.Contains(StageId.TackDown);
        return making with
        {
            Stages = making.Stages with
            {
                TackDown = new RunSettings
                {
                    ThreadId = threadOf(piece.Tack),
                    Off = hasTack && piece.Tack is null,
                    Kind = piece.TackKind,
                    Inset =
                        piece.Tack is not null && Math.Abs(piece.TackInset - usual) > SameInset && piece.TackInset >= 0
                            ? Math.Round(piece.TackInset, 2)
                            : null,
                },
            },
        };
    }

    private static bool IsPlaced(RecoveredPiece piece) =>
        AppliqueMethods.Of(piece.Method).Stages.Contains(StageId.Placement);

    private static CoverSettings Cover(RecoveredPiece piece, Cloth cloth, Func<int?, string?> threadOf)
    {
        if (piece.Cover is not { } cover)
        {
            return new CoverSettings { Off = true };
        }
        var set = new CoverSettings { ThreadId = threadOf(cover.Block), Kind = cover.Kind };
        var isBeneath = AppliqueMethods.Of(piece.Method).CoverLiesOnGround;
        switch (cover.Kind)
        {
            case CoverKind.Satin or CoverKind.Zigzag:
            {
                var preset = CoverChoice.Of(set, ClothPreset.Of(cloth)).Band.Compensation;
                // As sewn is without what tension takes; never less than a cover can be.
                var compensation = Math.Min(preset, Math.Max(0, (cover.Width - 2) / 2));
                var width = Math.Clamp(cover.Width - (2 * compensation), 2, 7);
                var outside = (cover.Outside - compensation) / width;
                return set with
                {
                    Width = Math.Round(width, 2),
                    Spacing =
                        cover.Kind == CoverKind.Satin
                            ? Math.Clamp(Math.Round(cover.Spacing, 2), 0.3, 0.8)
                            : Math.Round(cover.Spacing, 2),
                    InsideShare = Math.Round(Math.Clamp(isBeneath ? outside : 1 - outside, 0.3, 0.9), 3),
                    Compensation = compensation == preset ? null : Math.Round(compensation, 2),
                };
            }
            case CoverKind.Blanket:
                return set with
                {
                    Width = Math.Round(Math.Clamp(cover.Width, 2, 7), 2),
                    UnitLength = Length(cover.Spacing),
                    IsMirrored = cover.IsMirrored,
                    InsideShare = Math.Round(
                        Math.Clamp(
                            isBeneath ? cover.Outside / cover.Width : 1 - (cover.Outside / cover.Width),
                            0.3,
                            0.9
                        ),
                        3
                    ),
                };
            case CoverKind.Bean or CoverKind.RawEdge:
                return set with
                {
                    Kind = cover.Kind == CoverKind.RawEdge ? null : cover.Kind,
                    Inset = Math.Round(Math.Clamp(Math.Abs(cover.Outside), 0, 6), 2),
                    UnitLength = Length(cover.Spacing),
                };
            case CoverKind.Motif:
                return set with { Width = Math.Round(Math.Clamp(cover.Width, 2, 7), 2) };
            default:
                throw new InvalidOperationException($"{cover.Kind} is no cover.");
        }
    }

    private static double? Length(double spacing) => spacing is >= 1 and <= 20 ? Math.Round(spacing, 2) : null;
}
