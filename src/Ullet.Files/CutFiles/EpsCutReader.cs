using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.CutFiles;

/// <summary>Reads the paths of an Encapsulated PostScript file: moveto, lineto, curveto, closepath, stroke. It reads back what
/// was written; it runs no programs.</summary>
public static class EpsCutReader
{
    /// <returns>The lines in mm, or "cut-file-…" with a sentence.</returns>
    public static Result<CutFile> Read(ReadOnlyMemory<byte> file)
    {
        var lines = Encoding.ASCII.GetString(file.Span).Split('\n');
        if (!lines[0].StartsWith("%!PS", StringComparison.Ordinal))
        {
            return No("foreign", "line 1", "This cut file is not an EPS: its first line does not say so.");
        }
        if (!lines.Any(line => line.StartsWith("%%EOF", StringComparison.Ordinal)))
        {
            return No("truncated", $"line {lines.Length}", "This EPS ends in its middle. Save or copy it again.");
        }
        var walk = new Walk();
        for (var i = 0; i < lines.Length; i++)
        {
            if (walk.Take(lines[i].Trim()) is { } wrong)
            {
                return No(
                    "part-unknown",
                    $"line {i + 1}",
                    $"\"{wrong}\" in line {i + 1} of this EPS is not a path of its own."
                );
            }
        }
        return walk.Done();
    }

    private static Refusal No(string code, string place, string words) => new($"cut-file-{code}", place, words);

    private sealed class Walk
    {
        private static readonly string[] Settings =
        [
            "gsave",
            "grestore",
            "setlinewidth",
            "setlinejoin",
            "showpage",
            "newpath",
        ];

        private readonly ImmutableArray<CutLine>.Builder _found = ImmutableArray.CreateBuilder<CutLine>();
        private readonly ImmutableArray<Curve>.Builder _curves = ImmutableArray.CreateBuilder<Curve>();
        private readonly List<double> _numbers = [];
        private (string Group, string Name) _named = ("", "");
        private (double Width, double Height) _page;
        private string? _cloth;
        private string? _mirrored;
        private Point _at;
        private Point _start;

        /// <summary>Takes a line; gives the word that it can't take.</summary>
        internal string? Take(string line)
        {
            if (line.StartsWith('%'))
            {
                Note(line);
                return null;
            }
            foreach (var word in line.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            {
                if (double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
                {
                    _numbers.Add(number);
                }
                else if (!Do(word))
                {
                    return word;
                }
            }
            return null;
        }

        internal Result<CutFile> Done() =>
            _found.Count == 0
                ? No("empty", "file", "This cut file has nothing to cut in it.")
                : new CutFile(_page.Width, _page.Height, _found.ToImmutable()) { Cloth = _cloth, Mirrored = _mirrored };

        private void Note(string line)
        {
            string After(string mark) => line[mark.Length..].Trim();
            bool Is(string mark) => line.StartsWith(mark, StringComparison.Ordinal);
            if (Is(EpsCutWriter.PageMark))
            {
                var sizes = After(EpsCutWriter.PageMark)
                    .Split(' ')
                    .Select(text => double.Parse(text, CultureInfo.InvariantCulture))
                    .ToList();
                // The page is noted in mm; everything else is points.
                _page = (sizes[0], sizes[1]);
            }
            else if (Is(EpsCutWriter.ClothMark))
            {
                _cloth = After(EpsCutWriter.ClothMark);
            }
            else if (Is(EpsCutWriter.MirrorMark))
            {
                _mirrored = After(EpsCutWriter.MirrorMark);
            }
            else if (Is(EpsCutWriter.PathMark))
            {
                var names = After(EpsCutWriter.PathMark).Split(' ', 2);
                _named = (names[0], names.Length > 1 ? names[1] : "");
            }
        }

        private bool Do(string word)
        {
            switch (word)
            {
                case "moveto" when _numbers.Count == 2:
                    _at = _start = Place(0);
                    break;
                case "lineto" when _numbers.Count == 2:
                    To(Curve.Line(_at, Place(0)));
                    break;
                case "curveto" when _numbers.Count == 6:
                    To(Curve.Cubic(_at, Place(0), Place(2), Place(4)));
                    break;
                case "closepath":
                    Finish(closed: true);
                    break;
                case "stroke":
                    Finish(closed: false);
                    break;
                default:
                    if (!Settings.Contains(word))
                    {
                        return false;
                    }
                    break;
            }
            _numbers.Clear();
            return true;
        }

        private Point Place(int from) =>
            new(
                _numbers[from] / EpsCutWriter.PointsPerMm,
                _page.Height - (_numbers[from + 1] / EpsCutWriter.PointsPerMm)
            );

        private void To(Curve curve)
        {
            _curves.Add(curve);
            _at = curve.End;
        }

        private void Finish(bool closed)
        {
            if (_curves.Count == 0)
            {
                return;
            }
            if (closed && _at.DistanceTo(_start) > Tolerance.Same)
            {
                To(Curve.Line(_at, _start));
            }
            _found.Add(new CutLine(_named.Group, _named.Name, new Contour(_curves.ToImmutable()), closed));
            _curves.Clear();
        }
    }
}
