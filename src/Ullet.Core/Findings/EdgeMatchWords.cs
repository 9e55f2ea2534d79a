using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>How an edge match stands, in words; the finding and the card say the same.</summary>
public static class EdgeMatchWords
{
    /// <summary>True when what is missing most is cover outside the edge, not bite inside it.</summary>
    internal static bool PeepsOut(EdgeMatch match) =>
        match.Worst is { Beyond: < 0 } worst && worst.Beyond <= worst.Bite - match.Wanted;

    /// <param name="work">The piece.</param>
    /// <param name="match">Its edge match.</param>
    public static string Of(PieceAtWork work, EdgeMatch match)
    {
        var (piece, worst) = (work.Part.Element, match.Worst!);
        if (match.Holds)
        {
            return $"At its worst place the cover still bites {LengthText.Mm(Math.Max(worst.Bite, 0))}.";
        }
        if (PeepsOut(match))
        {
            return $"The edge of {work.Part.Name} may peep out from under its cover by {LengthText.Mm(-worst.Beyond!.Value)}: the "
                + $"cover reaches {LengthText.Mm(CoverChoice.Of(piece, work.Cloth).Outside)} outside the outline.";
        }
        var (bite, wanted) = LengthsApart.Mm(Math.Max(worst.Bite, 0), match.Wanted);
        return $"The {AppliqueMethods.Of(piece.Method).StageWords(StageId.Cover)} of {work.Part.Name} may hold only "
            + $"{bite} of its edge; {wanted} is wanted on "
            + $"{work.Cloth.Name}.";
    }
}
