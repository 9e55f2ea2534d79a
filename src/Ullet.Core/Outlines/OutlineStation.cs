using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Document to outline: the form in its box, leaned, flipped, turned and moved to its place.</summary>
public sealed class OutlineStation(IGlyphSource fonts) : IStation<Element, ElementOutline>
{
    private readonly LetterSetting _setting = new();

    public int Version => 3;

    public long Bytes(ElementOutline output) => output.Bytes;

    public ContentHash Key(Element input) =>
        input switch
        {
            Piece piece => ContentHash.Of(new PieceInput(piece.Shape, piece.Box, [.. piece.Holes]), $"piece-{Version}"),
            Words words => ContentHash.Of(
                words with
                {
                    Id = "",
                    Name = "",
                    ClothId = "",
                    Stages = new StageSettings(),
                    Line = new LineSettings(),
                    Method = Method.TrimInTheHoop,
                    Holding = Holding.Taped,
                    CutAllowance = null,
                    GroupId = null,
                    IsLocked = false,
                    IsHidden = false,
                    StaysCentred = false,
                    Operations = [],
                    EdgeTouches = [],
                    IsConstruction = false,
                    PatternPart = null,
                },
                $"words-{Version}-{fonts.Find(words.FontId)?.ContentKey}"
            ),
            StitchedLine line => ContentHash.Of(new LineInput(line.Line, line.Box), $"line-{Version}"),
            Zone zone => ContentHash.Of(new PieceInput(zone.Shape, zone.Box, []), $"zone-{Version}"),
            _ => throw new ArgumentException($"No outline for {input.GetType().Name}.", nameof(input)),
        };

    /// <summary>The outline on the wall, mm. Holes keep their size; they are placed in the piece's own frame.</summary>
    /// <returns>Empty for words whose font is not there.</returns>
    public ElementOutline Compute(Element input, CancellationToken cancellation) =>
        input switch
        {
            Piece piece => Whole(piece),
            Words words => Letters(words),
            StitchedLine line => new ElementOutline(
                new Outline([])
                {
                    Lines = [.. line.Line.Lines.Select(drawn => new OpenPath(DrawnContour.Curves(drawn)))],
                }.InBox(line.Box),
                []
            ),
            Zone zone => new ElementOutline(
                ShapeContours.Outline(zone.Shape, zone.Box.Width, zone.Box.Height).InBox(zone.Box),
                []
            ),
            _ => throw new ArgumentException($"No outline for {input.GetType().Name}.", nameof(input)),
        };

    /// <summary>The words as their font sets them, before they are fitted to their box; nothing without the font.</summary>
    public LaidText Lay(Words words) =>
        fonts.Find(words.FontId) is { } font ? _setting.Set(words, font) : LaidText.Nothing;

    private static ElementOutline Whole(Piece piece)
    {
        var shape = ShapeContours.Outline(piece.Shape, piece.Box.Width, piece.Box.Height);
        var holes = piece.Holes.Select(hole =>
            ShapeContours
                .Make(hole.Shape, hole.Width, hole.Height)
                .Transform(Affine.Translate(hole.X, hole.Y))
                .Oriented(clockwise: false)
        );
        foreach (var hole in holes)
        {
            var place = hole.Bounds().Centre;
            var around = shape.Parts.FirstOrDefault(part => part.Shell.Flatten(0.05).Winding(place) != 0);
            around ??= shape.Parts.FirstOrDefault();
            if (around is not null)
            {
                shape = new Outline(shape.Parts.Replace(around, around with { Holes = around.Holes.Add(hole) }));
            }
        }
        var outline = shape.IsEmpty ? shape : shape.InBox(piece.Box);
        return new ElementOutline(outline, outline.IsEmpty ? [] : [new PartOutline(0, null, outline)]);
    }

    private ElementOutline Letters(Words words)
    {
        var letters = Lay(words).Letters;
        if (letters.IsEmpty)
        {
            return new ElementOutline(Outline.Empty, []);
        }
        var joined = FilledOutline.Joined([.. letters.Select(letter => letter.Outline)]);
        var map = BoxFit.Map(joined, words.Box);
        var whole = joined.Transform(map);
        ImmutableArray<PartOutline> parts =
        [
            .. letters.Select(letter => new PartOutline(letter.Index, letter.Text, letter.Outline.Transform(map))),
        ];
        return new ElementOutline(
            whole,
            words.Use switch
            {
                LetteringUse.OneByOne => parts,
                LetteringUse.OnePiece => [new PartOutline(0, null, whole)],
                _ => [],
            }
        )
        {
            Letters = parts,
        };
    }

    private sealed record PieceInput(ShapeSource Shape, ElementBox Box, PieceHole[] Holes);

    private sealed record LineInput(DrawnShape Line, ElementBox Box);
}
