using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>A hoop by its sewing field (not its frame), mm.</summary>
public sealed record Hoop(string Name, double FieldWidth, double FieldHeight)
{
    /// <summary>Sides of a sewing field, mm.</summary>
    public static readonly (double Least, double Most) Side = (30, 1000);

    /// <summary>The sizes that the trade sells, smallest first: sewing fields in mm as it states them, and what owners call them in
    /// inches, which are not their fields to the hundredth.</summary>
    private static readonly ImmutableArray<(Hoop Hoop, string Across, string Down)> Trade =
    [
        (new("100 × 100", 100, 100), "4", "4"),
        (new("130 × 180", 130, 180), "5", "7"),
        (new("150 × 150", 150, 150), "6", "6"),
        (new("160 × 260", 160, 260), "6", "10"),
        (new("200 × 200", 200, 200), "8", "8"),
        (new("200 × 300", 200, 300), "8", "12"),
        (new("240 × 360", 240, 360), "9½", "14"),
    ];

    /// <summary>The hoops offered, smallest first.</summary>
    public static readonly ImmutableArray<Hoop> Catalogue = [.. Trade.Select(row => row.Hoop)];

    /// <summary>The inner ring stands this far outside the sewing field, mm; hoops differ a little.</summary>
    public const double RingOutside = 12;

    /// <summary>True when a design lies in its field, mm.</summary>
    public bool Holds(Box design) => Box.Centred(FieldWidth, FieldHeight).Contains(design);

    /// <summary>The smallest hoop of the trade that takes a design where it lies, upright or sideways; null when none does.</summary>
    public static Hoop? SmallestFor(Box design, Func<Hoop, bool>? takes = null) =>
        Catalogue
            .SelectMany(hoop => new[] { hoop, hoop.Turned() })
            .FirstOrDefault(hoop => hoop.Holds(design) && takes?.Invoke(hoop) != false);

    /// <summary>Where the mark of the hoop's middle lies, mm right of the field's centre; 0 for most hoops.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double MiddleX { get; init; }

    /// <summary>Where the mark of the hoop's middle lies, mm below the field's centre.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double MiddleY { get; init; }

    /// <summary>Room that its owner keeps free at the left and right edges of the field, mm.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double MarginAcross { get; init; }

    /// <summary>Room that its owner keeps free at the upper and lower edges of the field, mm.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double MarginDown { get; init; }

    /// <summary>What lies within the inner ring, mm: so large a cloth can be laid flat on the hoop's back.</summary>
    [JsonIgnore]
    public Box Inside => Field.Grown(RingOutside);

    /// <summary>The sewing field about its centre, mm.</summary>
    [JsonIgnore]
    public Box Field => Box.Centred(FieldWidth, FieldHeight);

    /// <summary>The field without the margins, mm: where designs are fitted and lined up.</summary>
    [JsonIgnore]
    public Box Usable => Box.Centred(FieldWidth - (2 * MarginAcross), FieldHeight - (2 * MarginDown));

    /// <summary>The mark of its middle, where designs are centred, mm from the field's centre.</summary>
    [JsonIgnore]
    public Point Middle => new(MiddleX, MiddleY);

    /// <summary>What its owner calls it in inches; null for a size that the trade has no name for.</summary>
    [JsonIgnore]
    public string? Inches =>
        Trade
            .Where(row => row.Hoop.IsOfField(FieldWidth, FieldHeight))
            .Select(row => $"{row.Across} × {row.Down}")
            .Concat(
                Trade
                    .Where(row => row.Hoop.IsOfField(FieldHeight, FieldWidth))
                    .Select(row => $"{row.Down} × {row.Across}")
            )
            .FirstOrDefault();

    /// <summary>A hoop of a size that is not in the catalogue, by its numbers.</summary>
    public static Hoop Sized(double width, double height) =>
        OfField(width, height) ?? new Hoop(NameOf(width, height), width, height);

    /// <summary>The same hoop used sideways, a quarter turn clockwise.</summary>
    public Hoop Turned() =>
        this with
        {
            Name = Name == NameOf(FieldWidth, FieldHeight) ? NameOf(FieldHeight, FieldWidth) : Name,
            FieldWidth = FieldHeight,
            FieldHeight = FieldWidth,
            MiddleX = -MiddleY,
            MiddleY = MiddleX,
            MarginAcross = MarginDown,
            MarginDown = MarginAcross,
        };

    /// <summary>The hoop whose field has this width and height, or null.</summary>
    public static Hoop? OfField(double width, double height) =>
        Catalogue.FirstOrDefault(hoop => hoop.IsOfField(width, height));

    private bool IsOfField(double width, double height) =>
        Math.Abs(FieldWidth - width) < 0.01 && Math.Abs(FieldHeight - height) < 0.01;

    /// <summary>Says what is wrong with a hoop that somebody typed, or null.</summary>
    public Refusal? Check() =>
        Limits.CheckName(Name, "The hoop")
        ?? Range(FieldWidth, Side, "The width of the sewing field", "fieldWidth")
        ?? Range(FieldHeight, Side, "The height of the sewing field", "fieldHeight")
        ?? Range(MarginAcross, (0, (FieldWidth / 2) - 5), "The margin across", "marginAcross")
        ?? Range(MarginDown, (0, (FieldHeight / 2) - 5), "The margin down", "marginDown")
        ?? Range(MiddleX, (-FieldWidth / 2, FieldWidth / 2), "The place of the middle across", "middleX")
        ?? Range(MiddleY, (-FieldHeight / 2, FieldHeight / 2), "The place of the middle down", "middleY");

    private static Refusal? Range(double value, (double Least, double Most) range, string what, string place) =>
        Limits.CheckRange(value, range.Least, range.Most, "mm", what, place);

    private static string NameOf(double width, double height) =>
        string.Create(CultureInfo.InvariantCulture, $"{width:0.#} × {height:0.#}");
}
