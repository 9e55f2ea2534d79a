using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Lettering;

/// <summary>A text as its font sets it: cap height <see cref="CapHeight"/>, first baseline at y 0, the alignment's edge at x 0.</summary>
/// <param name="Letters">Letters with ink, in reading order.</param>
/// <param name="Ink">The box of them all.</param>
public sealed record LaidText(ImmutableArray<LaidLetter> Letters, Box Ink)
{
    /// <summary>The height at which text is laid before it is fitted to its element's box.</summary>
    public const double CapHeight = 100;

    public static readonly LaidText Nothing = new([], Box.Empty);
}

/// <summary>One letter (or what the font draws as one).</summary>
/// <param name="Index">Number of its first character in the text, as in <see cref="Projects.LetterTouch.Index"/>.</param>
/// <param name="Text">The characters it stands for.</param>
/// <param name="Outline">Its edge.</param>
public sealed record LaidLetter(int Index, string Text, Outline Outline);
