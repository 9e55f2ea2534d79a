using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>The numbers of a filled area.</summary>
/// <param name="Spacing">Distance of rows, mm; 0.25 to 5.</param>
/// <param name="Angle">Direction of rows, degrees clockwise on screen from the right.</param>
/// <param name="Compensation">Rows are longer by this at each end, mm.</param>
public sealed record FillNumbers(double Spacing, double Angle, double Compensation)
{
    /// <summary>True where what lies beneath is meant to show.</summary>
    public bool IsOpen => Spacing >= FillLimits.Shows;

    /// <summary>Distance of holes along a row, mm.</summary>
    public double StitchLength { get; init; } = 4.0;

    /// <summary>How holes of neighbouring rows lie to each other.</summary>
    public RowPattern Pattern { get; init; } = RowPattern.FourRows;

    /// <summary>Whether rows lie farther and farther apart across the area.</summary>
    public RowFade Fade { get; init; }

    /// <summary>What lies under it.</summary>
    public FillUnderlay Underlay { get; init; } = FillUnderlay.Usual;
}

/// <summary>How the distance of rows changes across an area.</summary>
public enum RowFade
{
    Even,

    /// <summary>From what was asked at the first row to the widest at the last.</summary>
    Out,

    /// <summary>From the widest at the first row to what was asked at the last.</summary>
    In,
}
