using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Where something new goes that was given no place: not on top of what was set in the same way.</summary>
internal static class FreePlace
{
    /// <summary>Room left between it and its neighbours, mm.</summary>
    private const double Gap = 4;

    /// <summary>So many rows and columns are looked at to each side of the middle.</summary>
    private const int Reach = 40;

    /// <summary>The middle of a free place: the field's centre, else the nearest one below it or above, then beside; inside the field
    /// where one is free there, below the field where none is.</summary>
    /// <param name="size">What is to be set, about its middle, mm; covers counted in.</param>
    /// <param name="neighbours">What it must not lie on.</param>
    /// <param name="field">The sewing field.</param>
    internal static Point Of(Box size, IEnumerable<Box> neighbours, Box field)
    {
        ImmutableArray<Box> taken = [.. neighbours.Where(box => !box.IsEmpty)];
        return InField(size, taken, field) ?? BelowField(size, taken, Around(size, field));
    }

    /// <summary>As <see cref="Of"/>, but where the field is taken by a ground, on the ground: a heart goes onto the shield that fills
    /// the hoop, never out of it.</summary>
    /// <inheritdoc cref="Of" path="/param"/>
    internal static Point OnGround(Box size, IEnumerable<Box> neighbours, Box field)
    {
        ImmutableArray<Box> taken = [.. neighbours.Where(box => !box.IsEmpty)];
        var lying = size.Moved(field.Centre.X, field.Centre.Y).Grown(Gap);
        return InField(size, taken, field)
            ?? (taken.Any(box => box.Contains(lying)) ? field.Centre : BelowField(size, taken, Around(size, field)));
    }

    private static Box Around(Box size, Box field) =>
        field.Union(Box.Centred(size.Width, size.Height).Moved(field.Centre.X, field.Centre.Y));

    private static Point? InField(Box size, ImmutableArray<Box> taken, Box hoop)
    {
        // What is larger than the field stands out of it on both sides, not below it.
        var field = Around(size, hoop);
        var (across, down) = (Math.Max(size.Width, 1) + Gap, Math.Max(size.Height, 1) + Gap);
        var inside = Steps()
            .Select(step => new Point(step.Column * across, step.Row * down))
            .Concat(Edges(size, field, down))
            .Prepend(Below(size, taken))
            .Prepend(new Point(-size.Centre.X, -size.Centre.Y) + field.Centre)
            .Where(place => field.Contains(size.Moved(place.X, place.Y), slack: 0.01));
        var places = inside.ToList();
        // With a gap where there is room for one, side by side where there is not.
        foreach (var gap in new[] { Gap / 4, -0.01 })
        {
            if (places.FindIndex(place => IsFree(size, place, taken, gap)) is >= 0 and var at)
            {
                return places[at];
            }
        }
        return null;
    }

    private static Point BelowField(Box size, ImmutableArray<Box> taken, Box field)
    {
        var down = Math.Max(size.Height, 1) + Gap;
        return Enumerable
            .Range(0, taken.Length + 1)
            .Select(row => new Point(0, field.MaxY + (down / 2) + (row * down) - ((size.MinY + size.MaxY) / 2)))
            .First(place => IsFree(size, place, taken, Gap / 4) || place.Y > field.MaxY + (taken.Length * down));
    }

    /// <summary>Just below all that is there.</summary>
    private static Point Below(Box size, ImmutableArray<Box> taken) =>
        taken.IsEmpty ? Point.Zero : new Point(0, taken.Max(box => box.MaxY) + Gap - size.MinY);

    private static bool IsFree(Box size, Point at, ImmutableArray<Box> taken, double gap) =>
        size.Moved(at.X, at.Y).Grown(gap) is var box && !taken.Any(other => other.Overlaps(box));

    /// <summary>Rows and columns from the middle: down before up, so that what is set in a row is read in that order; the middle column
    /// first.</summary>
    private static IEnumerable<(int Column, int Row)> Steps() =>
        from column in Outwards()
        from row in Enumerable.Range(0, Reach + 1).Concat(Enumerable.Range(1, Reach).Select(n => -n))
        select (column, row);

    private static IEnumerable<int> Outwards() =>
        Enumerable.Range(1, Reach).SelectMany(n => new[] { n, -n }).Prepend(0);

    /// <summary>Rows from the field's upper edge down: room that rows about the middle leave over.</summary>
    private static IEnumerable<Point> Edges(Box size, Box field, double down)
    {
        for (var y = field.MinY - size.MinY; y + size.MaxY <= field.MaxY + 0.01; y += down / 4)
        {
            yield return new Point(0, y);
        }
    }

    /// <summary>A neighbour so many times taller is what new words are set on: an initial under a name.</summary>
    private const double GroundTimes = 2.5;

    /// <summary>The boxes of words beside which new ones of a height go, covers counted in, mm.</summary>
    internal static IEnumerable<Box> Words(double height, Project project, EditContext context) =>
        Alike<TextForm>(project, context).Where(box => box.Height < GroundTimes * height);

    /// <summary>The boxes of the elements of one kind of form, covers counted in, mm.</summary>
    internal static IEnumerable<Box> Alike<TForm>(Project project, EditContext context)
        where TForm : Form =>
        project
            .Elements.Where(element => element.Form is TForm)
            .Select(element => Bands.CoveredBoxOf(element, project, context));

    /// <summary>The sewing field, mm.</summary>
    internal static Box Field(Project project) => project.Hooping.Hoop.Usable;
}
