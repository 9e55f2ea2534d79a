using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

public enum FindingLevel
{
    Stop,
    Warn,
    Tip,
}

/// <summary>What a check found.</summary>
/// <param name="Code">Stable name of the check.</param>
/// <param name="Level">How bad it is.</param>
/// <param name="ElementId">The element it is about, or null for the whole design.</param>
/// <param name="At">Where on the wall, mm, or null.</param>
/// <param name="Words">What is the matter and why, in a sentence or two.</param>
/// <param name="Mend">What puts it right, or null.</param>
public sealed record Finding(
    string Code,
    FindingLevel Level,
    string? ElementId,
    Point? At,
    string Words,
    Mend? Mend = null
);

/// <summary>A mend as data; the edits know how to carry it out.</summary>
public abstract record Mend(string Label);

public sealed record UseHoopMend(Hoop Hoop) : Mend($"Use the {Hoop.Name} hoop");

public sealed record MoveMend(double X, double Y) : Mend("Move the design into the field");

/// <summary>Changes one number so that the edge match holds.</summary>
public sealed record EdgeMatchMend(string ElementId, EdgeMend Change) : Mend(Words(Change))
{
    /// <summary>What a change does, as an order.</summary>
    public static string Words(EdgeMend change) =>
        change.Number switch
        {
            EdgeNumber.CoverWidth => $"Make the cover {change.Value:0.0} mm wide",
            EdgeNumber.InsideShare => $"Put {change.Value * 100:0} % of the cover inside",
            EdgeNumber.LineInset => $"Sew the line {change.Value:0.0} mm inside",
            EdgeNumber.CutAllowance =>
                $"Cut the piece {Math.Abs(change.Value):0.0} mm {(change.Value < 0 ? "smaller" : "larger")} all round",
        };
}

/// <summary>Gives a cloth a mat that takes its largest shape.</summary>
public sealed record LargerMatMend(string ClothId, MatSize Mat)
    : Mend($"Use a mat of {Mat.Width:0} × {Mat.Height:0} mm");

/// <summary>Divides a piece through its middle.</summary>
public sealed record SplitMend(string ElementId, bool Across) : Mend("Split it in two");

public sealed record MirrorFilmMend(string ClothId) : Mend("Mirror it");

/// <summary>Makes a project anew that was made by an earlier making of its pattern.</summary>
public sealed record MakeAnewMend(string PatternId) : Mend("Make it anew");

/// <summary>Cuts a piece along the line that is sewn.</summary>
public sealed record CutAsSewnMend(string ElementId) : Mend("Cut it as it is sewn");

/// <summary>Widens satin by less.</summary>
public sealed record LessCompensationMend(string ElementId, double Compensation)
    : Mend($"Take {Compensation:0.00} mm of compensation");

public sealed record PutRightMend() : Mend("Put it right");

public sealed record ClearCrumbsMend(string ElementId) : Mend("Clear the crumbs");

public sealed record BridgeNecksMend(string ElementId, double Width) : Mend($"Widen the bridges to {Width:0.0} mm");

public sealed record CutTailsMend(string ElementId) : Mend("Cut the thin ends off");
