using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>A mend as data; the edits know how to carry it out.</summary>
/// <param name="Label">What it does, as an order.</param>
public abstract record Mend(string Label);

public sealed record UseHoopMend(Hoop Hoop)
    : Mend($"Use the {Hoop.Name} hoop{(Hoop.Inches is { } inches ? $" ({inches} in)" : "")}");

/// <summary>The same hoop sideways.</summary>
public sealed record TurnHoopMend(Hoop Hoop) : Mend("Turn the hoop");

/// <summary>Makes the whole design as large as fits into the field, and centres it.</summary>
public sealed record FitFieldMend() : Mend("Fit the design into the field");

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

/// <summary>Takes one thread wherever another is used.</summary>
public sealed record ExchangeThreadMend(string FromId, string ToId, string Name) : Mend($"Sew both with {Name}");

/// <summary>Makes a project anew that was made by an earlier making of its pattern.</summary>
public sealed record MakeAnewMend(string PatternId) : Mend("Make it anew");

/// <summary>Cuts a piece along the line that is sewn.</summary>
public sealed record CutAsSewnMend(string ElementId) : Mend("Cut it as it is sewn");

/// <summary>Widens satin by less.</summary>
public sealed record LessCompensationMend(string ElementId, double Compensation)
    : Mend($"Take {Compensation:0.00} mm of compensation");

public sealed record PutRightMend() : Mend("Put it right");

/// <param name="ElementId">The element.</param>
/// <param name="Width">Parts that are nowhere wider go, mm; null for the usual sizes.</param>
public sealed record ClearCrumbsMend(string ElementId, double? Width = null) : Mend("Clear the crumbs");

public sealed record BridgeNecksMend(string ElementId, double Width) : Mend($"Widen the bridges to {Width:0.0} mm");

public sealed record CutTailsMend(string ElementId) : Mend("Cut the thin ends off");

/// <summary>Closes the holes of an element that are narrower than a width, mm.</summary>
public sealed record CloseHolesMend(string ElementId, double Width) : Mend("Close the small holes");

/// <summary>Widens whatever is thinner than a width, mm; ends that run out to nothing are blunted.</summary>
public sealed record WidenMend(string ElementId, double Width) : Mend($"Widen it to {Width:0.0} mm, thin ends blunted");

/// <summary>A place of an edge where another cover would do.</summary>
/// <param name="At">On the wall, mm.</param>
/// <param name="Width">How wide a cover has room, mm.</param>
/// <param name="InsideShare">How much of it lies inside the edge.</param>
public sealed record TightPlace(Point At, double Width, double InsideShare);

/// <summary>Covers the edge more narrowly along the stretches that are tight.</summary>
public sealed record NarrowerCoverMend(string ElementId, ImmutableArray<TightPlace> Places)
    : Mend("Narrower cover there");

/// <summary>Leaves the edge without a cover along the stretches that are tight.</summary>
public sealed record RawEdgeMend(string ElementId, ImmutableArray<TightPlace> Places) : Mend("Raw edge there");

public sealed record ShowMend(string ElementId) : Mend("Show it again");

public sealed record DeleteMend(string ElementId) : Mend("Delete it");

/// <summary>Lays or trims a cloth before opened stitches.</summary>
public sealed record LayBetweenMend(string ElementId, HandKind Kind)
    : Mend(Kind == HandKind.Trim ? "Trim it before" : "Lay the cloth before it");

public sealed record TakeSatinCoverMend(string ElementId) : Mend("Take a satin cover");

public sealed record FuseMend(string ElementId) : Mend("Fuse the piece");

/// <summary>Letters so tall that they stay apart, mm.</summary>
public sealed record TallerLettersMend(string ElementId, double CapHeight)
    : Mend($"Make the letters {CapHeight:0.0} mm tall");

public sealed record CutBeforehandMend(string ElementId) : Mend("Cut it beforehand");

/// <summary>Sews the form itself instead of laying cloth.</summary>
public sealed record MakeMend(string ElementId, string Kind, string Name) : Mend($"Make it as {Name}");

public sealed record OtherClothMend(string ElementId, string ClothId, string Name) : Mend($"Take {Name}");

public sealed record OnePieceMend(string ElementId) : Mend("Make the letters one piece");

/// <summary>Sets letters so far apart that they do not touch, share of the cap height.</summary>
public sealed record SpaceLettersMend(string ElementId, double Spacing) : Mend("Space the letters");
