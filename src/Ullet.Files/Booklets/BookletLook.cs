namespace Ullet.Files.Booklets;

/// <summary>The paper of a booklet.</summary>
public enum BookletPaper
{
    A4,
    Letter,
}

/// <summary>How large its letters are.</summary>
public enum BookletType
{
    /// <summary>For reading at arm's length.</summary>
    Large,

    /// <summary>For fewer pages.</summary>
    Compact,
}

/// <summary>Sizes of a booklet's page and type, points.</summary>
/// <param name="Width">The page.</param>
/// <param name="Height">The page.</param>
/// <param name="Body">Plain text.</param>
/// <param name="Sentence">What hands do.</param>
/// <param name="Drawing">Height of a drawing for hands.</param>
/// <param name="Small">Height of a drawing for what the machine sews.</param>
internal sealed record BookletLook(float Width, float Height, float Body, float Sentence, float Drawing, float Small)
{
    internal const float Margin = 44;

    internal float Room => Width - (2 * Margin);

    internal static BookletLook Of(BookletPaper paper, BookletType type)
    {
        var (width, height) = paper switch
        {
            BookletPaper.A4 => (595f, 842f),
            BookletPaper.Letter => (612f, 792f),
            _ => throw new ArgumentOutOfRangeException(nameof(paper), paper, "no such paper"),
        };
        return type switch
        {
            BookletType.Large => new BookletLook(width, height, 12, 15, 236, 150),
            BookletType.Compact => new BookletLook(width, height, 9.5f, 11.5f, 168, 104),
            _ => throw new ArgumentOutOfRangeException(nameof(type), type, "no such type"),
        };
    }
}
