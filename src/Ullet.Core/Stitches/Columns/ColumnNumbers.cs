namespace Ullet.Core.Stitches;

/// <summary>The numbers of satin columns, mm.</summary>
/// <param name="Spacing">Distance between neighbouring holes on the same side.</param>
/// <param name="Compensation">Added on each side.</param>
public sealed record ColumnNumbers(double Spacing, double Compensation)
{
    /// <summary>Most needle points that a disc of 0.5 mm radius may take.</summary>
    public int NeedleLimit { get; init; } = StitchDefaults.NeedleLimit;

    /// <summary>What lies under it; null for what its width asks for.</summary>
    public UnderlayKinds? Underlay { get; init; }
}
