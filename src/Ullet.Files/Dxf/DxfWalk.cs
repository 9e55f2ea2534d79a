using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Dxf;

/// <summary>A line of a DXF, in its units, y up.</summary>
/// <param name="Layer">The layer it lies on.</param>
/// <param name="Name">What a note before it says; "" for nothing.</param>
/// <param name="Curves">Its curves.</param>
/// <param name="IsClosed">False for an open line.</param>
internal sealed record DxfLine(string Layer, string Name, ImmutableArray<Curve> Curves, bool IsClosed);

/// <summary>One way through the entities of a DXF, insertions unfolded and open ends joined.</summary>
/// <param name="document">The file.</param>
/// <param name="what">What it is called in sentences.</param>
/// <param name="code">First part of refusals' codes.</param>
internal sealed class DxfWalk(DxfDocument document, string what, string code)
{
    /// <summary>The most curves taken from one file.</summary>
    internal const int MostCurves = 200_000;

    private const int Deepest = 16;

    internal const string NamePrefix = "name: ";

    private readonly List<DxfLine> _lines = [];
    private int _curves;
    private int _visits;

    /// <summary>Entities that were not taken, by kind: how many, and where the first stands.</summary>
    internal SortedDictionary<string, (int Count, string Place)> Left { get; } = new(StringComparer.Ordinal);

    internal Result<List<DxfLine>> Read()
    {
        if (Visit(document.Entities, Affine.Identity, null, 0) is { } refusal)
        {
            return refusal;
        }
        // Ends within a ten thousandth of the drawing's size are meant to meet.
        var box = _lines
            .SelectMany(line => line.Curves)
            .Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));
        return DxfChains.Joined(_lines, Math.Max(box.Width, box.Height) * 1e-4);
    }

    private Refusal? Visit(List<DxfEntity> entities, Affine map, string? layer, int depth)
    {
        if (depth > Deepest)
        {
            return No(
                "too-deep",
                entities[0].Place,
                $"{what} inserts blocks into each other more than {Deepest} deep."
            );
        }
        foreach (var entity in entities)
        {
            Budget.Spend();
            if (++_visits > MostCurves)
            {
                return TooMany(entity);
            }
            var own = layer is not null && entity.Layer == "0" ? layer : entity.Layer;
            if (entity.Kind == "INSERT")
            {
                if (Insert(entity, map, own, depth) is { } refusal)
                {
                    return refusal;
                }
                continue;
            }
            if (DxfCurves.Silent.Contains(entity.Kind))
            {
                continue;
            }
            if (DxfCurves.Of(entity) is not { } line)
            {
                var known = Left.GetValueOrDefault(entity.Kind, (0, entity.Place));
                Left[entity.Kind] = (known.Item1 + 1, known.Item2);
                continue;
            }
            _curves += line.Curves.Length;
            if (_curves > MostCurves)
            {
                return TooMany(entity);
            }
            var name =
                entity.Note is { } note && note.StartsWith(NamePrefix, StringComparison.Ordinal)
                    ? note[NamePrefix.Length..]
                    : "";
            _lines.Add(new DxfLine(own, name, [.. line.Curves.Select(curve => curve.Transform(map))], line.IsClosed));
        }
        return null;
    }

    private Refusal? Insert(DxfEntity entity, Affine map, string layer, int depth)
    {
        var name = entity.Text(2) ?? "";
        if (!document.Blocks.TryGetValue(name, out var block))
        {
            return No(
                "block-missing",
                entity.Place,
                $"{what} inserts a block \"{name}\" that is not in it ({entity.Place})."
            );
        }
        if (block.Entities.Count == 0)
        {
            return null;
        }
        var (columns, rows) = (Math.Max(1, entity.Number(70, 1)), Math.Max(1, entity.Number(71, 1)));
        if (!(columns * rows * block.Entities.Count <= MostCurves))
        {
            return TooMany(entity);
        }
        var scaled = Affine
            .Translate(-block.X, -block.Y)
            .Then(Affine.Scale(entity.Number(41, 1), entity.Number(42, 1)));
        var placed = Affine
            .Rotate(entity.Number(50, 0))
            .Then(Affine.Translate(entity.Number(10, 0), entity.Number(20, 0)));
        for (var row = 0; row < rows; row++)
        {
            for (var column = 0; column < columns; column++)
            {
                var step = Affine.Translate(column * entity.Number(44, 0), row * entity.Number(45, 0));
                if (Visit(block.Entities, scaled.Then(step).Then(placed).Then(map), layer, depth + 1) is { } refusal)
                {
                    return refusal;
                }
            }
        }
        return null;
    }

    private Refusal TooMany(DxfEntity entity) =>
        No(
            "too-many-curves",
            entity.Place,
            $"{what} has more than {MostCurves:N0} curves. Simplify it, or split it over several files."
        );

    private Refusal No(string end, string place, string words) => new($"{code}-{end}", place, words);
}
