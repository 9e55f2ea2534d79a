using System.Globalization;

namespace Ullet.Files.Dxf;

/// <summary>One entity with the vertices that follow it.</summary>
/// <param name="Kind">LINE, CIRCLE, …</param>
/// <param name="Pairs">Its pairs, without the kind.</param>
/// <param name="Line">Where it begins, from 1.</param>
/// <param name="Vertices">The vertices of a POLYLINE.</param>
internal sealed record DxfEntity(string Kind, List<DxfPair> Pairs, int Line, List<DxfEntity> Vertices)
{
    /// <summary>A note that stood before it, or null.</summary>
    internal string? Note { get; init; }

    internal double? Number(int code) => Pairs.Find(pair => pair.Code == code && pair.Number is not null).Number;

    internal double Number(int code, double otherwise) => Number(code) ?? otherwise;

    internal string? Text(int code) => Pairs.Find(pair => pair.Code == code).Value;

    internal int Flags => (int)Number(70, 0);

    internal string Layer => Text(8) ?? "0";

    internal string Place => $"line {Line.ToString(CultureInfo.InvariantCulture)}";
}

/// <summary>A block: entities that are inserted elsewhere.</summary>
internal sealed record DxfBlock(double X, double Y, List<DxfEntity> Entities);

/// <summary>The parts of a DXF that draw something.</summary>
/// <param name="MmPerUnit">True size of a unit, mm; null when the file does not say.</param>
/// <param name="Entities">What it draws.</param>
/// <param name="Blocks">What may be inserted, by name.</param>
/// <param name="Notes">Comments before the first entity.</param>
internal sealed record DxfDocument(
    double? MmPerUnit,
    List<DxfEntity> Entities,
    Dictionary<string, DxfBlock> Blocks,
    List<string> Notes
)
{
    private const int Comment = 999;

    internal static DxfDocument Of(List<DxfPair> pairs)
    {
        var document = new DxfDocument(Units(pairs), [], new(StringComparer.OrdinalIgnoreCase), []);
        var section = "";
        DxfBlock? block = null;
        DxfEntity? polyline = null;
        string? note = null;
        for (var i = 0; i < pairs.Count; i++)
        {
            if (pairs[i].Code == Comment)
            {
                note = pairs[i].Value;
                if (document.Entities.Count == 0)
                {
                    document.Notes.Add(note);
                }
                continue;
            }
            if (pairs[i].Code != 0)
            {
                continue;
            }
            var entity = Taken(pairs, ref i, note);
            note = null;
            switch (entity.Kind)
            {
                case "SECTION":
                    section = entity.Text(2) ?? "";
                    break;
                case "ENDSEC" or "EOF":
                    section = "";
                    break;
                case "BLOCK" when section == "BLOCKS":
                    block = new DxfBlock(entity.Number(10, 0), entity.Number(20, 0), []);
                    document.Blocks[entity.Text(2) ?? ""] = block;
                    break;
                case "ENDBLK":
                    block = null;
                    break;
                case "SEQEND":
                    polyline = null;
                    break;
                case "VERTEX":
                    polyline?.Vertices.Add(entity);
                    break;
                default:
                    var home = section == "ENTITIES" ? document.Entities : block?.Entities;
                    home?.Add(entity);
                    polyline = entity.Kind == "POLYLINE" ? entity : null;
                    break;
            }
        }
        return document;
    }

    private static DxfEntity Taken(List<DxfPair> pairs, ref int i, string? note)
    {
        var entity = new DxfEntity(pairs[i].Value.ToUpperInvariant(), [], pairs[i].Line, []) { Note = note };
        while (i + 1 < pairs.Count && pairs[i + 1].Code is not (0 or Comment))
        {
            i++;
            entity.Pairs.Add(pairs[i]);
        }
        return entity;
    }

    /// <summary>mm of the header's unit; null for none, or one that measures nothing.</summary>
    private static double? Units(List<DxfPair> pairs)
    {
        var at = pairs.FindIndex(pair => pair is { Code: 9, Value: "$INSUNITS" });
        return at < 0 || at + 1 >= pairs.Count
            ? null
            : pairs[at + 1].Number switch
            {
                1 => 25.4,
                2 => 304.8,
                4 => 1,
                5 => 10,
                6 => 1000,
                8 => 25.4e-6,
                9 => 0.0254,
                10 => 914.4,
                13 => 0.001,
                14 => 100,
                _ => null,
            };
    }
}
