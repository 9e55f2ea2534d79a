using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>What is too small or too thin about what operations left.</summary>
public enum LeftoverKind
{
    /// <summary>A part too small to be cloth, or nowhere wide enough.</summary>
    Crumb,

    /// <summary>A bridge that tears.</summary>
    Neck,

    /// <summary>A long thin end.</summary>
    Tail,

    /// <summary>A place where the covers of two edges meet, so that no cloth shows.</summary>
    CoversMeet,
}

/// <summary>A remainder or a thin place of an element.</summary>
/// <param name="Kind">What is wrong.</param>
/// <param name="Place">The part, or the stretch.</param>
/// <param name="At">A place inside it, mm.</param>
/// <param name="Width">Its width, mm: the least of a stretch, the widest place of a crumb.</param>
public sealed record Leftover(LeftoverKind Kind, Region Place, Point At, double Width);

/// <summary>An outline to be searched.</summary>
/// <param name="Outline">Each part of an element.</param>
/// <param name="Key">Stands for it in the key.</param>
/// <param name="CoversNeed">The width that the covers of two facing edges take inside the cloth, mm; 0 without covers.</param>
public sealed record LeftoverInput(ImmutableArray<Outline> Outline, ContentHash Key, double CoversNeed);

/// <summary>All that was found in one outline; the worst first.</summary>
public sealed record Leftovers(ImmutableArray<Leftover> All);

/// <summary>Outline to its crumbs, necks and places without cloth.</summary>
public sealed class LeftoverStation : IStation<LeftoverInput, Leftovers>
{
    public int Version => 1;

    public long Bytes(Leftovers output) =>
        Footprint.Thing + output.All.Sum(left => Footprint.Thing + Footprint.Of(left.Place));

    public ContentHash Key(LeftoverInput input) => ContentHash.Of(input.CoversNeed, $"leftovers-{Version}-{input.Key}");

    public Leftovers Compute(LeftoverInput input, CancellationToken cancellation)
    {
        var found = new List<Leftover>();
        foreach (var part in input.Outline.SelectMany(outline => outline.Parts))
        {
            cancellation.ThrowIfCancellationRequested();
            var (form, alone) = (part.Flatten(), new Outline([part]));
            if (Clearing.IsCrumb(form, Remainders.CrumbArea, Remainders.CrumbWidth))
            {
                var widest = ThinPlace.Of(alone, LargestCrumb).FirstOrDefault();
                found.Add(
                    new Leftover(
                        LeftoverKind.Crumb,
                        form,
                        widest?.At ?? form.Bounds().Centre,
                        widest?.Width ?? LargestCrumb
                    )
                );
                continue;
            }
            var thin = ThinPlace.Of(alone, Remainders.NeckWidth);
            found.AddRange(
                thin.Select(place => new Leftover(
                    place.Ends > 1 ? LeftoverKind.Neck : LeftoverKind.Tail,
                    place.Area,
                    place.At,
                    place.Width
                ))
            );
            if (input.CoversNeed > Remainders.NeckWidth)
            {
                found.AddRange(
                    ThinPlace
                        .Of(alone, input.CoversNeed)
                        .Where(place =>
                            place.Ends != 1
                            && place.Area.Area > LeastBare
                            && !thin.Any(worse => Holds(place.Area, worse.At))
                        )
                        .Select(place => new Leftover(LeftoverKind.CoversMeet, place.Area, place.At, place.Width))
                );
            }
        }
        return new Leftovers([.. found.OrderBy(left => left.Kind).ThenBy(left => left.At.X).ThenBy(left => left.At.Y)]);
    }

    /// <summary>Places where covers meet that are smaller than this are seen by nobody, mm².</summary>
    private const double LeastBare = 1;

    /// <summary>A crumb is nowhere wider than this: a disc of its largest area.</summary>
    private static readonly double LargestCrumb = 2 * Math.Sqrt(Remainders.CrumbArea / Math.PI) + 0.1;

    private static bool Holds(Region area, Point place) => area.Shell.Winding(place) != 0;
}
