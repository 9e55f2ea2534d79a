using Ullet.Core.Geometry;

namespace Ullet.Core.Patterns;

/// <summary>A ribbon loop in a side seam of a pouch: folded, laid inwards on the front panel before the back goes on.</summary>
/// <param name="IsLeft">The side on which it is sewn in.</param>
/// <param name="Seam">Where the closing seam crosses its middle, mm.</param>
internal sealed record PouchLoop(bool IsLeft, Point Seam)
{
    /// <summary>Width of the ribbon, mm.</summary>
    internal const double Width = 20;

    /// <summary>Raw ends lie this far outside the seam, mm.</summary>
    internal const double Outside = 10;

    /// <summary>Length of the folded ribbon, mm.</summary>
    internal const double Folded = 35;

    internal const string ChoiceId = "loop";

    internal const string None = "none";
    internal const string Left = "left";
    internal const string Right = "right";

    internal static PatternChoice Choice { get; } =
        new(
            ChoiceId,
            "Ribbon loop",
            None,
            [
                new PatternOption(None, "none"),
                new PatternOption(Left, "in the left seam"),
                new PatternOption(Right, "in the right seam"),
            ]
        );

    /// <summary>What the folded ribbon takes when it is laid, mm.</summary>
    internal Box Area =>
        IsLeft
            ? new Box(Seam.X - Outside, Seam.Y - (Width / 2), Seam.X - Outside + Folded, Seam.Y + (Width / 2))
            : new Box(Seam.X + Outside - Folded, Seam.Y - (Width / 2), Seam.X + Outside, Seam.Y + (Width / 2));

    internal string Side => IsLeft ? "left" : "right";
}
