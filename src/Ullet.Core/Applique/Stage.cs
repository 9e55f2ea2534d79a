using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>One stage of a piece with every number resolved, ready to be stitched.</summary>
/// <param name="Key">The step's key.</param>
/// <param name="Role">Placement, tack-down or cover.</param>
/// <param name="ThreadId">The thread it is sewn with.</param>
/// <param name="Run">Numbers of a running stage; not used by a cover.</param>
/// <param name="Satin">Numbers of a cover; not used by a running stage.</param>
/// <param name="Outline">The piece's outline, mm.</param>
/// <param name="OutlineKey">The outline's key, which stands for it in the stage's own key.</param>
public sealed record Stage(
    StepKey Key,
    StageRole Role,
    string ThreadId,
    RunNumbers Run,
    SatinNumbers Satin,
    Outline Outline,
    ContentHash OutlineKey
)
{
    /// <summary>The stretches of edge that a cover is made along; null for all of it.</summary>
    public VisibleEdge? Visible { get; init; }
}

/// <summary>Numbers of a running stage, mm.</summary>
public sealed record RunNumbers(double StitchLength, double Inset, int Passes)
{
    /// <summary>True to sew every stitch three times.</summary>
    public bool IsBean { get; init; }
}

/// <summary>Resolves what was set by hand over what the method and the project give.</summary>
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
            thread,
            Run(piece, role),
            Satin(piece.Stages.Cover),
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
        ContentHash outlineKey
    ) =>
        new(
            new StepKey(elementId, StageName(StageRole.Line), 0),
            StageRole.Line,
            project.FindThread(line.ThreadId)?.Id ?? project.Hooping.CoverThreadId,
            new RunNumbers(line.StitchLength ?? StitchDefaults.RunLength, 0, 1) { IsBean = line.Kind == LineKind.Bean },
            Satin(new CoverSettings()),
            outline,
            outlineKey
        );

    /// <summary>The cover's numbers with the defaults filled in.</summary>
    public static SatinNumbers Satin(CoverSettings set) =>
        new(
            set.Width ?? StitchDefaults.CoverWidth,
            set.Spacing ?? StitchDefaults.CoverSpacing,
            set.InsideShare ?? StitchDefaults.CoverInsideShare,
            set.Compensation ?? StitchDefaults.PullCompensation
        );

    /// <summary>How far inside the outline the tack-down runs: as set, else the method's, but never out of the cover, mm.</summary>
    public static double TackInset(AppliqueElement piece)
    {
        if (piece.Stages.TackDown.Inset is { } set)
        {
            return set;
        }
        var inset = AppliqueMethods.Of(piece.Method).TackInset;
        if (piece.Stages.Cover.Off)
        {
            return inset;
        }
        var cover = Satin(piece.Stages.Cover);
        return Math.Max(0, Math.Min(inset, (cover.Width * cover.InsideShare) - StitchDefaults.TackUnderCover));
    }

    /// <summary>The stage's part of a step key.</summary>
    public static string StageName(StageRole role) =>
        role switch
        {
            StageRole.Placement => "placement",
            StageRole.TackDown => "tack",
            StageRole.Line => "line",
            _ => "cover",
        };

    private static RunNumbers Run(AppliqueElement piece, StageRole role) =>
        role == StageRole.TackDown
            ? new RunNumbers(piece.Stages.TackDown.StitchLength ?? StitchDefaults.RunLength, TackInset(piece), 2)
            : new RunNumbers(
                piece.Stages.Placement.StitchLength ?? StitchDefaults.RunLength,
                piece.Stages.Placement.Inset ?? 0,
                1
            );
}
