using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>A cloth that a household owns. Projects take copies of it: changing it changes none of them.</summary>
/// <param name="Id">Names it in the stash.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Colour">Ground colour, #rrggbb.</param>
public sealed record StashCloth(string Id, string Name, ClothKind Kind, string Colour)
{
    /// <summary>Width of a cloth, mm.</summary>
    public static readonly (double Least, double Most) Widths = (10, CutLimits.LargestMat);

    /// <summary>How much is left, mm of length.</summary>
    public static readonly (double Least, double Most) Lengths = (0, 200_000);

    /// <summary>Most characters of a note.</summary>
    public const int LongestNote = 200;

    public bool IsDeepPile { get; init; }

    public ClothTexture Texture { get; init; } = ClothTexture.Woven;

    /// <summary>Colour of dots or stripes, #rrggbb; null for one made from the ground.</summary>
    public string? PatternColour { get; init; }

    /// <summary>A photo of it; null to draw colour and texture.</summary>
    public ClothSwatch? Swatch { get; init; }

    /// <summary>How wide it lies, mm; null where nobody measured.</summary>
    public double? Width { get; init; }

    /// <summary>How pieces may be turned on it.</summary>
    public Grain Grain { get; init; }

    /// <summary>How much is left, mm of length; null where nobody measured.</summary>
    public double? LeftLength { get; init; }

    /// <summary>Where it lies, what it was bought for.</summary>
    public string Note { get; init; } = "";

    /// <summary>A copy for a project.</summary>
    public Cloth ForProject(string id) =>
        new()
        {
            Id = id,
            Name = Name,
            Colour = Colour,
            Kind = Kind,
            IsDeepPile = IsDeepPile,
            Texture = Texture,
            PatternColour = PatternColour,
            Swatch = Swatch,
        };

    /// <summary>True when a search finds it: by name, kind or note.</summary>
    public bool Answers(string search) => SearchText.Answers(search, Name, ClothTable.Of(Kind).Name, Note);

    /// <summary>The same with its typed texts cleaned.</summary>
    public StashCloth Cleaned() => this with { Name = PlainText.Line(Name), Note = PlainText.Line(Note) };

    /// <summary>Says what is wrong with it, or null; the project's check of cloths comes first.</summary>
    public Refusal? CheckOwn() =>
        Limits.CheckSet(Width, Widths, "mm", $"The width of {Name}", "width")
        ?? Limits.CheckSet(LeftLength, Lengths, "mm", $"What is left of {Name}", "leftLength")
        ?? Limits.CheckLength(Note, LongestNote, "The note", "note");
}
