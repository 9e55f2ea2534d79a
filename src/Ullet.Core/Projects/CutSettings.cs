using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>How cut shapes are laid on mats and cut.</summary>
public sealed record CutSettings
{
    /// <summary>Width of the cutter's mat, mm.</summary>
    public double MatWidth { get; init; } = 305;

    /// <summary>Height of the cutter's mat, mm.</summary>
    public double MatHeight { get; init; } = 305;

    /// <summary>Nothing is laid nearer to the mat's edges than this, mm.</summary>
    public double MatMargin { get; init; } = 10;

    /// <summary>What was set for single cloths; a cloth that is not among them goes by what is usual.</summary>
    public ImmutableArray<ClothCut> Cloths { get; init; } = [];

    /// <summary>What is set for a cloth.</summary>
    public ClothCut Of(string clothId) =>
        Cloths.FirstOrDefault(cloth => cloth.ClothId == clothId) ?? new ClothCut { ClothId = clothId };

    public CutSettings With(ClothCut changed) =>
        this with
        {
            Cloths = [.. Cloths.Where(cloth => cloth.ClothId != changed.ClothId), changed],
        };
}

/// <summary>How one cloth is cut.</summary>
public sealed record ClothCut
{
    public required string ClothId { get; init; }

    /// <summary>How it lies on the mat; what is not face up is cut mirrored.</summary>
    public Lying Lies { get; init; }

    /// <summary>A mat of its own; null for the project's.</summary>
    public MatSize? Mat { get; init; }

    /// <summary>How wide the cloth is, mm; null for as wide as the mat.</summary>
    public double? UsableWidth { get; init; }

    public Grain Grain { get; init; }

    /// <summary>How its shapes come to their places; null for in place where they do not meet, packed otherwise.</summary>
    public SheetLayout? Layout { get; init; }

    /// <summary>Distance between packed shapes, mm.</summary>
    public double Gap { get; init; } = 2;

    /// <summary>How many times everything is cut.</summary>
    public int Copies { get; init; } = 1;

    /// <summary>What is drawn on the pieces beside their edges.</summary>
    public CutMarks Marks { get; init; } = new();

    /// <summary>Shapes that keep their places to one another on a packed sheet.</summary>
    public ImmutableArray<KeptTogether> Together { get; init; } = [];

    /// <summary>Shapes that hands put somewhere.</summary>
    public ImmutableArray<HandPlace> Places { get; init; } = [];

    /// <summary>Shapes whose outline is not cut but drawn or scored.</summary>
    public ImmutableArray<ShapeRole> Roles { get; init; } = [];

    /// <summary>Blade, depth and speed; null for the generic profile of the cloth's kind.</summary>
    public CutProfile? Profile { get; init; }

    /// <summary>How exact cutter and hands are with this cloth; what is null is as usual.</summary>
    public EdgeTolerances Tolerances { get; init; } = new();

    /// <summary>A photo of the printed cloth on the mat; null for none.</summary>
    public MatPhoto? Photo { get; init; }

    public CutRole RoleOf(string key) => Roles.FirstOrDefault(role => role.Key == key)?.Role ?? CutRole.Cut;
}

/// <summary>A mat, mm.</summary>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Margin">Nothing is laid nearer to its edges, mm.</param>
public sealed record MatSize(double Width, double Height, double Margin);

/// <summary>How a cloth lies on the mat. All but the first are cut mirrored.</summary>
public enum Lying
{
    FaceUp,
    FaceDown,

    /// <summary>Fusible on its back, the paper up: the shape is cut from the back.</summary>
    PaperUp,

    /// <summary>Iron-on film, its carrier down: the film is cut from its back.</summary>
    FilmDown,
}

/// <summary>How shapes may be turned on the cloth.</summary>
public enum Grain
{
    /// <summary>Any way.</summary>
    Free,

    /// <summary>As they stand, or upside down.</summary>
    TwoWays,

    /// <summary>Only as they stand.</summary>
    OneWay,
}

/// <summary>How shapes come to their places on the mat.</summary>
public enum SheetLayout
{
    /// <summary>As they stand to one another on the wall.</summary>
    InPlace,

    /// <summary>In rows, to save cloth.</summary>
    Packed,
}

/// <summary>What a line of a cut file is for.</summary>
public enum CutRole
{
    Cut,

    /// <summary>Drawn with a pen: labels, marks.</summary>
    Draw,

    /// <summary>Creased for a fold.</summary>
    Score,
}

/// <summary>What is drawn on pieces.</summary>
/// <param name="Labels">The piece's name.</param>
/// <param name="Centres">A cross at its middle with an arrow to its top.</param>
/// <param name="Matches">Ticks where another piece's edge meets its own.</param>
/// <param name="Seams">Seam and fold lines of a pattern's layers.</param>
public sealed record CutMarks(bool Labels = false, bool Centres = false, bool Matches = false, bool Seams = false)
{
    /// <summary>True for a frame that is cut round all shapes of a sheet, so that what is not needed comes off in one piece.</summary>
    public bool WeedingBox { get; init; }

    /// <summary>Everything, as on a page for scissors.</summary>
    public static readonly CutMarks All = new(true, true, true, true);
}

/// <summary>Shapes, by key, that keep their places to one another.</summary>
public sealed record KeptTogether(ImmutableArray<string> Keys);

/// <summary>Where hands put a shape: the top left corner of its box on a mat.</summary>
/// <param name="Key">The shape's key.</param>
/// <param name="Copy">Which of its copies, from 0.</param>
/// <param name="Sheet">Which sheet, from 1.</param>
/// <param name="X">mm from the mat's left edge.</param>
/// <param name="Y">mm from the mat's top edge.</param>
/// <param name="Turn">Quarter turns clockwise, degrees: 0, 90, 180, 270.</param>
public sealed record HandPlace(string Key, int Copy, int Sheet, double X, double Y, int Turn = 0)
{
    /// <summary>True for one shape that was taken away from those that it was laid with; false for what is laid as one.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool IsAlone { get; init; }
}

/// <summary>The role of a shape's outline.</summary>
public sealed record ShapeRole(string Key, CutRole Role);

/// <summary>A photo of printed cloth on the mat.</summary>
/// <param name="Picture">An asset's hash, or the id of a print that ships with Ullet.</param>
/// <param name="Width">How much cloth it shows across, mm.</param>
/// <param name="X">Its left edge, mm from the mat's.</param>
/// <param name="Y">Its top edge, mm from the mat's.</param>
public sealed record MatPhoto(string Picture, double Width, double X, double Y);
