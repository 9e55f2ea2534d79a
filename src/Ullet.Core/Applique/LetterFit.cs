using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>What a font's letters give at a size, for what is made of them.</summary>
/// <param name="Verdict">Whether the strokes are wide enough.</param>
/// <param name="Said">The same in a few words.</param>
public readonly record struct LetterFit(StrokeVerdict Verdict, string Said)
{
    /// <summary>Columns of letters in satin, with the compensation of an ordinary cloth.</summary>
    /// <param name="strokes">Measured inside the outline, mm; null when it has no width.</param>
    public static LetterFit InSatin(InnerWidth? strokes)
    {
        if (strokes is null)
        {
            return new LetterFit(StrokeVerdict.TooThin, "nothing to sew");
        }
        var both = 2 * StitchDefaults.PullCompensation;
        var (thin, usual) = (strokes.Thin + both, strokes.Usual + both);
        return usual < StitchDefaults.NarrowestColumn ? new(StrokeVerdict.TooThin, "too thin: take a single line")
            : thin < StitchDefaults.NarrowestColumn
                ? new(StrokeVerdict.ThinInPlaces, $"to {LengthText.Mm(usual)}, thinnest as a run")
            : usual > StitchDefaults.WidestColumn
                ? new(StrokeVerdict.ThinInPlaces, $"columns to {LengthText.Mm(usual)}: in rows")
            : new(StrokeVerdict.Fits, $"columns {thin:0.0} to {LengthText.Mm(usual)}");
    }

    /// <summary>Letters of single lines.</summary>
    public static readonly LetterFit OfLines = new(StrokeVerdict.Fits, "single lines, from 4 mm on");
}
