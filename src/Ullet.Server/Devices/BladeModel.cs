using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Projects;

namespace Ullet.Server.Devices;

/// <summary>How deep the stand-in's blade comes: made-up cloth thickness and blade wear, so that a wrong depth shows.</summary>
/// <param name="Material">The kind of cloth on the mat; null for film.</param>
/// <param name="Name">Its name; two cloths of one kind differ a little.</param>
/// <param name="Depth">How far the blade reaches below its holder, mm.</param>
/// <param name="Pressure">Share of the cutter's strength.</param>
/// <param name="Passes">How often each line is cut.</param>
/// <param name="Metres">How much the blade has cut since it was new.</param>
/// <param name="Already">How deep the lines were cut before, in the same place, mm.</param>
internal sealed record BladeModel(
    ClothKind? Material,
    string Name,
    double Depth,
    double Pressure,
    int Passes,
    double Metres,
    double Already
)
{
    /// <summary>Thickness differs by so much round a ring, share.</summary>
    private const double Uneven = 0.12;

    /// <summary>What one pass cuts into cloth at full strength, mm.</summary>
    private const double BitePerPass = 2.6;

    /// <summary>A blade loses this much for each metre that it cuts, up to <see cref="MostWear"/>, mm.</summary>
    private const double WearPerMetre = 0.008;

    private const double MostWear = 0.4;

    /// <summary>A blade that comes so far through the cloth marks the mat, mm.</summary>
    private const double MatLimit = 0.9;

    /// <summary>Places that are judged round a ring.</summary>
    internal const int Places = 36;

    /// <summary>Once round the ring of a test cut and along its tab, mm.</summary>
    internal const double RingLength = 44;

    /// <summary>What the blade has lost, mm.</summary>
    internal double Wear => Math.Min(MostWear, Metres * WearPerMetre);

    /// <summary>How deep the lines are now, mm.</summary>
    internal double Reached => Math.Max(Already, Math.Min(Depth - Wear, Already + (Passes * Pressure * BitePerPass)));

    /// <summary>The thickness of the cloth where it is thickest, mm.</summary>
    internal double Thickest => Thickness * (1 + Uneven);

    internal bool IsThrough => Reached >= Thickest;

    internal bool MarksMat => Reached > Thickest + MatLimit;

    /// <summary>The depth that would do with this blade, rounded up to a tenth, mm.</summary>
    internal double Suggested => Math.Ceiling((Thickest + Wear + 0.05) * 10) / 10;

    /// <summary>For places all round a ring: is the blade through there?</summary>
    internal ImmutableArray<bool> Round =>
        [
            .. Enumerable
                .Range(0, Places)
                .Select(i => Reached >= Thickness * (1 + (Uneven * Math.Sin((2 * Math.PI * i / Places) + Phase)))),
        ];

    /// <summary>What the test cut shows, in words.</summary>
    internal string Words()
    {
        if (MarksMat)
        {
            return $"The ring lifts out, but the blade has scored the mat: {Through} Set it to {Mm(Suggested)}.";
        }
        if (IsThrough)
        {
            return $"The ring lifts out clean: {Through}{Worn}";
        }
        var lifted = Round.Any(through => through)
            ? "The ring lifts on one side and hangs by threads on the other"
            : "The ring does not lift";
        return $"{lifted}: {Short}{Worn} {Advice}";
    }

    /// <summary>What the depth came to when everything was cut, in words.</summary>
    internal string CutWords() =>
        !IsThrough ? $"Not cut through: {Short}{Worn} {Advice} Then cut again in the same place."
        : MarksMat ? $"Cut through, and into the mat: {Through} Set it to {Mm(Suggested)} next time."
        : $"Cut through: {Through}{Worn}";

    private string Through => $"the blade reached {Mm(Reached)} through {Mm(Thickest)} of cloth.";

    private string Short => $"the blade reached {Mm(Reached)}, the cloth is up to {Mm(Thickest)} thick.";

    private string Worn => Wear >= 0.05 ? $" The blade has worn by {Mm(Wear)}." : "";

    private string Advice =>
        Depth - Wear >= Thickest
            ? "The blade is long enough; give it another pass, or more pressure."
            : $"Set it to {Mm(Suggested)}.";

    private static string Mm(double mm) => mm.ToString("0.0#", CultureInfo.InvariantCulture) + " mm";

    private double Thickness => UsualThickness(Material) * (1 + ((Share(Name) - 0.5) * 0.16));

    private double Phase => Share(Name + " ring") * 2 * Math.PI;

    private static double UsualThickness(ClothKind? material) =>
        material switch
        {
            null => 0.15,
            ClothKind.Organza => 0.2,
            ClothKind.Stabiliser => 0.3,
            ClothKind.WovenCotton => 0.45,
            ClothKind.Linen or ClothKind.Jersey => 0.5,
            ClothKind.IronOnFilm => 0.1,
            ClothKind.Twill => 0.55,
            ClothKind.Denim or ClothKind.Canvas => 0.65,
            ClothKind.Vinyl or ClothKind.Cork => 0.9,
            ClothKind.Felt or ClothKind.Fleece or ClothKind.Batting => 1.4,
            _ => 1.0,
        };

    /// <summary>A share from 0 to 1 that always is the same for a text.</summary>
    private static double Share(string text) =>
        text.Aggregate(17u, (hash, c) => unchecked((hash * 31) + c)) % 1000 / 1000.0;
}
