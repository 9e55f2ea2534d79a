namespace Ullet.Core.Projects;

/// <summary>What lies under a filled area.</summary>
/// <param name="Rows">Rows at a right angle to the top's, far apart.</param>
/// <param name="Edge">A run along the edge.</param>
public sealed record FillUnderlay(bool Rows, bool Edge)
{
    public static readonly FillUnderlay Usual = new(true, true);

    /// <summary>Film tears cleanly along a run; rows under it would hold it.</summary>
    public static readonly FillUnderlay OfFilm = new(false, true);
}
