using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>Weeding and transfer of cut film and fusible-backed cloth, read off the cut sheets.</summary>
public static class FilmWork
{
    /// <summary>What to do, in order; nothing where neither film nor fusible is cut.</summary>
    /// <param name="sheets">The cut sheets.</param>
    public static ImmutableArray<string> Of(ImmutableArray<CutSheet> sheets)
    {
        var said = ImmutableArray.CreateBuilder<string>();
        foreach (var sheet in sheets)
        {
            var names = string.Join(", ", sheet.Shapes.Select(placed => placed.Shape.Name).Distinct());
            var number = sheet.Count > 1 ? $", sheet {sheet.Number} of {sheet.Count}" : "";
            switch (sheet.Setup.Cut.Lies)
            {
                case Lying.FilmDown:
                    said.Add(
                        $"{sheet.Cloth.Name}{number}: cut with the carrier down, {(sheet.IsMirrored ? "mirrored already" : "not mirrored")}."
                    );
                    said.Add(
                        sheet.WeedingBox is not null
                            ? "Weed from a corner of the weeding box: lift the film outside the shapes in one piece, then take the holes out with a point."
                            : "Weed from the outside in: lift the film round each shape away from the carrier, then take the holes out with a point."
                    );
                    said.Add(
                        $"Lay {names} film side down with the carrier up, each where its placement line shows; what lies lowest goes first."
                    );
                    said.Add(
                        "Press as its maker says, straight down and without sliding; let it cool before you peel the carrier off, low and slowly."
                    );
                    break;
                case Lying.PaperUp:
                    said.Add(
                        $"{sheet.Cloth.Name}{number}: the paper of the fusible lay up, so {(sheet.IsMirrored ? "the shapes are mirrored already" : "check that shapes with a direction are mirrored")}."
                    );
                    said.Add(
                        $"Peel the paper off {names} by scoring it in the middle, not at the edge, so that no thread frays out."
                    );
                    break;
                case Lying.FaceUp:
                case Lying.FaceDown:
                    break;
                default:
                    throw new ArgumentException($"No film work is known of {sheet.Setup.Cut.Lies}.", nameof(sheets));
            }
        }
        return said.ToImmutable();
    }
}
