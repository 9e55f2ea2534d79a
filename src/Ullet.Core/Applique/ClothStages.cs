using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Resolves what was set by hand over what the method, the cloth and the project give.</summary>
public static class ClothStages
{
    /// <summary>A stage of a piece of cloth.</summary>
    public static Stage Resolve(Project project, PieceAtWork work, StageId id, ContentHash outlineKey)
    {
        var part = work.Part;
        var piece = part.Element;
        var hooping = project.Hooping;
        var fallback = id == StageId.Cover ? hooping.CoverThreadId : hooping.LineThreadId;
        return new Stage(
            new StepKey(piece.Id, StageTable.Of(id).Key, part.Ordinal),
            id,
            project.FindThread(piece.Stages.ThreadOf(id))?.Id ?? fallback,
            PlanOf(work, id),
            id == StageId.Cover ? work.Edge : work.Line,
            outlineKey
        )
        {
            Words = AppliqueMethods.Of(piece.Method).StageWords(id),
        };
    }

    /// <summary>How far inside the outline the tack-down runs: as set, else the method's, but never out of the cover, mm;
    /// below 0 outside the outline.</summary>
    public static double TackInset(AppliqueElement piece, Cloth? cloth)
    {
        var method = AppliqueMethods.Of(piece.Method);
        var side = method.CoverLiesOnGround ? -1 : 1;
        if (piece.Stages.TackDown.Inset is { } set)
        {
            return side * set;
        }
        var inset = method.TackInset;
        var cover = CoverChoice.Of(piece, cloth);
        if (piece.Stages.Cover.Off || !cover.LiesAcross)
        {
            return side * inset;
        }
        var within = method.CoverLiesOnGround ? cover.Outside : cover.Inside;
        return side * Math.Max(0, Math.Min(inset, within - StitchDefaults.TackUnderCover));
    }

    private static StitchPlan PlanOf(PieceAtWork work, StageId id)
    {
        var (piece, cloth) = (work.Part.Element, work.Cloth);
        return id switch
        {
            StageId.CutGuide => Once(piece.Stages.CutGuide),
            StageId.Placement => Once(piece.Stages.Placement),
            StageId.TackDown => Tack(piece, cloth),
            StageId.Cover => new CoverPlan(CoverChoice.Of(piece, cloth), work.Visible),
            StageId.Line or StageId.Basting or StageId.Satin or StageId.Fill or StageId.SatinEdge or StageId.Opened =>
                throw new ArgumentException($"No method has the stage {id}.", nameof(id)),
        };
    }

    private static RunPlan Once(RunSettings set) =>
        new(set.StitchLength ?? StitchDefaults.RunLength, set.Inset ?? 0, 1);

    private static StitchPlan Tack(AppliqueElement piece, Cloth? cloth)
    {
        var tack = piece.Stages.TackDown;
        var inset = TackInset(piece, cloth);
        var kind = tack.Kind ?? TackKind.DoubleRun;
        if (kind == TackKind.DoubleRun || AppliqueMethods.Of(piece.Method).CoverLiesOnGround)
        {
            return new RunPlan(tack.StitchLength ?? StitchDefaults.RunLength, inset, 2);
        }
        // Wider stitches stay wholly inside the cover, and narrow where it leaves them less room.
        var cover = CoverChoice.Of(piece, cloth);
        var room =
            piece.Stages.Cover.Off || !cover.LiesAcross
                ? StitchDefaults.TackWidth
                : cover.Inside - StitchDefaults.TackClear - inset;
        return new TackPlan(kind, inset, Math.Clamp(room, StitchDefaults.ShortestStitch, StitchDefaults.TackWidth));
    }
}
