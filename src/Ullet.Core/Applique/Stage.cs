using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>One stage of a piece with every number resolved, ready to be stitched.</summary>
/// <param name="Key">The step's key.</param>
/// <param name="Role">Cut guide, placement, tack-down, cover or line.</param>
/// <param name="Words">The role in the trade's words, as its method calls it.</param>
/// <param name="ThreadId">The thread it is sewn with.</param>
/// <param name="Run">Numbers of a running stage; not used by a cover.</param>
/// <param name="Cover">Numbers of a cover; not used by a running stage.</param>
/// <param name="Outline">The piece's outline, mm.</param>
/// <param name="OutlineKey">The outline's key, which stands for it in the stage's own key.</param>
public sealed record Stage(
    StepKey Key,
    StageRole Role,
    string Words,
    string ThreadId,
    RunNumbers Run,
    CoverNumbers Cover,
    Outline Outline,
    ContentHash OutlineKey
)
{
    /// <summary>The stretches of edge that a cover is made along; null for all of it.</summary>
    public VisibleEdge? Visible { get; init; }
}

/// <summary>Numbers of a running stage, mm.</summary>
/// <param name="StitchLength">Longest stitch.</param>
/// <param name="Inset">How far inside the outline it runs; below 0 outside.</param>
/// <param name="Passes">How often it goes round.</param>
public sealed record RunNumbers(double StitchLength, double Inset, int Passes)
{
    /// <summary>True to sew every stitch three times.</summary>
    public bool IsBean { get; init; }

    /// <summary>How a tack-down is sewn; null for a run.</summary>
    public TackKind? Kind { get; init; }

    /// <summary>Width of a zigzag or blanket tack-down.</summary>
    public double Width { get; init; }
}

/// <summary>Resolves what was set by hand over what the method, the cloth and the project give.</summary>
public static class StageNumbers
{
    /// <summary>A stage of a piece of cloth.</summary>
    public static Stage Resolve(Project project, PieceAtWork work, StageRole role, ContentHash outlineKey)
    {
        var part = work.Part;
        var piece = part.Element;
        var hooping = project.Hooping;
        var fallback = role == StageRole.Cover ? hooping.CoverThreadId : hooping.LineThreadId;
        var thread = project.FindThread(piece.Stages.ThreadOf(role))?.Id ?? fallback;
        return new Stage(
            new StepKey(piece.Id, StageName(role), part.Ordinal),
            role,
            AppliqueMethods.Of(piece.Method).StageWords(role),
            thread,
            Run(piece, work.Cloth, role),
            CoverChoice.Of(piece, work.Cloth),
            role == StageRole.Cover ? work.Edge : work.Outline,
            outlineKey
        )
        {
            Visible = role == StageRole.Cover ? work.Visible : null,
        };
    }

    /// <summary>The only stage of a line that is sewn without cloth.</summary>
    public static Stage Line(
        Project project,
        string elementId,
        LineSettings line,
        Outline outline,
        ContentHash outlineKey,
        string? purpose = null
    ) =>
        new(
            new StepKey(elementId, StageName(StageRole.Line), 0),
            StageRole.Line,
            purpose ?? "line",
            project.FindThread(line.ThreadId)?.Id
                ?? (purpose is null ? project.Hooping.CoverThreadId : project.Hooping.LineThreadId),
            new RunNumbers(line.StitchLength ?? StitchDefaults.RunLength, 0, line.Passes)
            {
                IsBean = line.Kind == LineKind.Bean,
            },
            CoverChoice.Of(new CoverSettings(), ClothPreset.Of(null)),
            outline,
            outlineKey
        );

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

    /// <summary>The stage's part of a step key.</summary>
    public static string StageName(StageRole role) =>
        role switch
        {
            StageRole.CutGuide => "guide",
            StageRole.Placement => "placement",
            StageRole.TackDown => "tack",
            StageRole.Line => "line",
            _ => "cover",
        };

    private static RunNumbers Run(AppliqueElement piece, Cloth? cloth, StageRole role)
    {
        if (role != StageRole.TackDown)
        {
            var set = role == StageRole.CutGuide ? piece.Stages.CutGuide : piece.Stages.Placement;
            return new RunNumbers(set.StitchLength ?? StitchDefaults.RunLength, set.Inset ?? 0, 1);
        }
        var tack = piece.Stages.TackDown;
        var inset = TackInset(piece, cloth);
        var kind = tack.Kind ?? TackKind.DoubleRun;
        var numbers = new RunNumbers(tack.StitchLength ?? StitchDefaults.RunLength, inset, 2);
        if (kind == TackKind.DoubleRun || AppliqueMethods.Of(piece.Method).CoverLiesOnGround)
        {
            return numbers;
        }
        // Wider stitches stay wholly inside the cover, and narrow where it leaves them less room.
        var cover = CoverChoice.Of(piece, cloth);
        var room =
            piece.Stages.Cover.Off || !cover.LiesAcross
                ? StitchDefaults.TackWidth
                : cover.Inside - StitchDefaults.TackClear - inset;
        return numbers with
        {
            Kind = kind,
            Width = Math.Clamp(room, StitchDefaults.ShortestStitch, StitchDefaults.TackWidth),
        };
    }
}
