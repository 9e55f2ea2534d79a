using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What becomes of the user's own additions when a pattern is made at another size.</summary>
public enum AdditionsFate
{
    /// <summary>They go with the middle of the panel that they lie on.</summary>
    WithMiddle,

    /// <summary>They keep their distance from the panel's nearest edges.</summary>
    WithEdge,

    /// <summary>They grow with the panel, keeping their form.</summary>
    Grow,

    /// <summary>They stay where they are.</summary>
    Stay,
}

/// <summary>Moves additions with their panel.</summary>
internal static class AdditionMoves
{
    /// <param name="own">Where an addition is, mm.</param>
    /// <param name="was">Its panel before, mm.</param>
    /// <param name="now">Its panel now, mm.</param>
    /// <param name="fate">What is to become of it.</param>
    internal static ElementBox Of(ElementBox own, Box was, Box now, AdditionsFate fate) =>
        fate switch
        {
            AdditionsFate.WithMiddle => own with
            {
                X = own.X + now.Centre.X - was.Centre.X,
                Y = own.Y + now.Centre.Y - was.Centre.Y,
            },
            AdditionsFate.WithEdge => own with
            {
                X = Kept(own.X, was.MinX, was.MaxX, now.MinX, now.MaxX),
                Y = Kept(own.Y, was.MinY, was.MaxY, now.MinY, now.MaxY),
            },
            AdditionsFate.Grow => Grown(own, was, now),
            AdditionsFate.Stay => own,
        };

    private static double Kept(double at, double low, double high, double newLow, double newHigh) =>
        at - low <= high - at ? newLow + (at - low) : newHigh - (high - at);

    private static ElementBox Grown(ElementBox own, Box was, Box now)
    {
        var (across, down) = (now.Width / was.Width, now.Height / was.Height);
        var grown = Math.Min(across, down);
        return own with
        {
            X = now.Centre.X + ((own.X - was.Centre.X) * across),
            Y = now.Centre.Y + ((own.Y - was.Centre.Y) * down),
            Width = own.Width * grown,
            Height = own.Height * grown,
        };
    }
}
