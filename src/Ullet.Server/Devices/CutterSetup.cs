using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Server.Devices;

/// <summary>How the stand-in cutter is set, and what lies on it; lengths in mm. What is not given is as usual.</summary>
public sealed record CutterSetup
{
    /// <summary>Where the file's page lies on the mat.</summary>
    public double? X { get; init; }

    /// <summary>Where the file's page lies on the mat.</summary>
    public double? Y { get; init; }

    public double? MatWidth { get; init; }

    public double? MatHeight { get; init; }

    /// <summary>True when the device is told to mirror what it reads.</summary>
    public bool? Mirror { get; init; }

    /// <summary>What <see cref="Material"/> says for iron-on film.</summary>
    internal const string Film = "film";

    /// <summary>A kind of cloth, or <see cref="Film"/>.</summary>
    public string? Material { get; init; }

    /// <summary>The name of the cloth on the mat; a file for another one is refused.</summary>
    public string? Cloth { get; init; }

    public double? Depth { get; init; }

    /// <summary>Share of the cutter's strength, 0.05 to 1.</summary>
    public double? Pressure { get; init; }

    /// <summary>mm/s.</summary>
    public double? Speed { get; init; }

    public int? Passes { get; init; }

    /// <summary>How much the blade has cut since it was new, m.</summary>
    public double? Metres { get; init; }

    /// <summary>How deep the same lines were cut before.</summary>
    public double? Already { get; init; }

    /// <summary>Near which corner of what is cut a test ring is tried; bottom right unless given.</summary>
    public string? Corner { get; init; }

    private RingCorner? Near =>
        Enum.GetValues<RingCorner>()
            .Cast<RingCorner?>()
            .FirstOrDefault(corner => string.Equals(corner.ToString(), Corner, StringComparison.OrdinalIgnoreCase));

    /// <summary>The left edge of what is cut on the mat, mm; with the three that follow, for a test ring.</summary>
    public double? FrameX { get; init; }

    public double? FrameY { get; init; }

    public double? FrameWidth { get; init; }

    public double? FrameHeight { get; init; }

    /// <summary>Where a test ring goes; null where nothing is said of what is cut, or there is no room beside it.</summary>
    internal Core.Geometry.Point? Ring =>
        (FrameX, FrameY, FrameWidth, FrameHeight) is ({ } x, { } y, { } width, { } height)
            ? RingPlace.Of(
                new Core.Geometry.Box(x, y, x + width, y + height),
                new Core.Geometry.Box(0, 0, MatWidth ?? CutLimits.LargestMat, MatHeight ?? CutLimits.LargestMat),
                Near ?? RingCorner.BottomRight
            )
            : null;

    /// <summary>Says what of it can't be, or null.</summary>
    internal Refusal? Check() =>
        Of(X, -2000, 2000, "mm", "The place of the file on the mat", "x")
        ?? Of(Y, -2000, 2000, "mm", "The place of the file on the mat", "y")
        ?? Of(MatWidth, CutLimits.SmallestMat, CutLimits.LargestMat, "mm", "The width of the mat", "matWidth")
        ?? Of(MatHeight, CutLimits.SmallestMat, CutLimits.LargestMat, "mm", "The height of the mat", "matHeight")
        ?? Of(FrameX, -2000, 4000, "mm", "The frame's place across", "frameX")
        ?? Of(FrameY, -2000, 4000, "mm", "The frame's place down", "frameY")
        ?? Of(FrameWidth, 0, 4000, "mm", "The frame's width", "frameWidth")
        ?? Of(FrameHeight, 0, 4000, "mm", "The frame's height", "frameHeight")
        ?? (
            Corner is null || Near is not null
                ? null
                : new Refusal(
                    "corner-unknown",
                    "corner",
                    $"A test ring is cut near the topLeft, topRight, bottomLeft or bottomRight corner; \"{Corner}\" is none."
                )
        )
        ?? Of(Depth, 0.1, 5, "mm", "The depth of the blade", "depth")
        ?? Of(Pressure, 0.05, 1, "", "The pressure", "pressure")
        ?? Of(Speed, 1, 500, "mm/s", "The speed", "speed")
        ?? Of(Passes, 1, 6, "", "The number of passes", "passes")
        ?? Of(Metres, 0, 10_000, "m", "What the blade has cut", "metres")
        ?? Of(Already, 0, 5, "mm", "What was cut before", "already")
        ?? (
            Material is null or Film || KindOf(Material) is not null
                ? null
                : new Refusal(
                    "material-unknown",
                    "material",
                    $"The stand-in cutter does not know the material \"{Material}\"; it knows "
                        + string.Join(", ", Enum.GetNames<ClothKind>().Append(Film))
                        + "."
                )
        );

    /// <summary>The blade; without a depth, one that goes through everything.</summary>
    internal BladeModel Blade =>
        new(
            Material == Film ? null : KindOf(Material) ?? ClothKind.WovenCotton,
            Cloth ?? "",
            Depth ?? CutProfiles.Cotton.Depth,
            Pressure ?? CutProfiles.Cotton.Pressure,
            Passes ?? 1,
            Metres ?? 0,
            Already ?? 0
        );

    private static ClothKind? KindOf(string? name) =>
        Enum.TryParse<ClothKind>(name, ignoreCase: true, out var kind) && !char.IsDigit(name![0]) ? kind : null;

    private static Refusal? Of(double? value, double least, double most, string unit, string what, string place) =>
        value is { } given ? Limits.CheckRange(given, least, most, unit, what, place) : null;
}
