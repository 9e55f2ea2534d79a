namespace Ullet.Core.Documents;

/// <summary>How much one document may hold. The numbers bound new input; what an older build stored is opened.</summary>
/// <remarks>Chosen so that a document at its limits is computed within a budget of one go; `./ullet bench doors` holds them.</remarks>
public static class DocumentLimits
{
    public const int MostElements = 1_000;

    public const int MostCloths = 200;

    public const int MostThreads = 200;

    /// <summary>Hand steps of the user's own.</summary>
    public const int MostHands = 300;

    /// <summary>Curves of all drawn shapes together.</summary>
    public const int MostCurves = 120_000;

    /// <summary>Letters of all texts together.</summary>
    public const int MostLetters = 4_000;

    /// <summary>Steps that are named in an order, or about which something was decided.</summary>
    public const int MostSteps = 20_000;

    /// <summary>Places, roles and groups of one cloth on the cutting table.</summary>
    public const int MostPlaces = 10_000;

    /// <summary>Numbers and fill-ins of a pattern.</summary>
    public const int MostFillIns = 100;

    /// <summary>Longest fill-in, note, warning or check, characters.</summary>
    public const int LongestNote = 400;

    /// <summary>Longest id, characters.</summary>
    public const int LongestId = 64;
}
