using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Scenes;

/// <summary>What kinds of covers, motifs and cloths are called.</summary>
internal static class CoverWords
{
    private const double PictureWidth = 36;
    private const double PictureHeight = 12;
    private const int Repeats = 3;

    internal static readonly ImmutableArray<CoverChoiceDto> All =
    [
        .. CoverTable.All.Select(row => new CoverChoiceDto(row.Kind, row.Name, row.Summary)),
    ];

    /// <summary>Some of a motif in a row, for choosing.</summary>
    internal static string PathOf(StitchUnit motif)
    {
        var (unit, half) = (PictureWidth / Repeats, (PictureHeight / 2) - 1);
        var points = Enumerable
            .Range(0, Repeats)
            .SelectMany(i =>
                motif.Places.Select(place =>
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"{(i + place.Along) * unit:0.##} {(PictureHeight / 2) - (place.Across * half):0.##}"
                    )
                )
            );
        return "M" + string.Join("L", points);
    }
}
