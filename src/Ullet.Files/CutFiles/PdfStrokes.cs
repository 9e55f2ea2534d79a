using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>Walks through a page's operators.</summary>
/// <param name="pageHeight">Points.</param>
/// <param name="widths">Line widths of the page's graphics states.</param>
internal sealed class PdfStrokes(double pageHeight, IReadOnlyDictionary<string, double> widths)
{
    private const double MmPerPoint = 1 / EpsCutWriter.PointsPerMm;

    private readonly ImmutableArray<PdfStroke>.Builder _found = ImmutableArray.CreateBuilder<PdfStroke>();
    private readonly Stack<(Affine Map, double Width)> _kept = [];
    private readonly List<double> _numbers = [];
    private readonly List<(List<Curve> Curves, bool IsClosed)> _paths = [];
    private Affine _map = Affine.Identity;
    private double _width = 1;
    private Point _at;
    private string _name = "";

    internal ImmutableArray<PdfStroke> Of(string content)
    {
        foreach (var word in content.Split([' ', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries))
        {
            if (double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
            {
                _numbers.Add(number);
                continue;
            }
            if (word.StartsWith('/'))
            {
                _name = word;
                continue;
            }
            Do(word);
            _numbers.Clear();
        }
        return _found.ToImmutable();
    }

    private void Do(string word)
    {
        switch (word)
        {
            case "q":
                _kept.Push((_map, _width));
                break;
            case "Q" when _kept.Count > 0:
                (_map, _width) = _kept.Pop();
                break;
            case "cm" when _numbers.Count == 6:
                _map = new Affine(_numbers[0], _numbers[1], _numbers[2], _numbers[3], _numbers[4], _numbers[5]).Then(
                    _map
                );
                break;
            case "gs":
                _width = widths.GetValueOrDefault(_name, _width);
                break;
            case "w" when _numbers.Count == 1:
                _width = _numbers[0];
                break;
            case "m" when _numbers.Count == 2:
                _at = Place(0);
                _paths.Add(([], false));
                break;
            case "l" when _numbers.Count == 2:
                To(Curve.Line(_at, Place(0)));
                break;
            case "c" when _numbers.Count == 6:
                To(Curve.Cubic(_at, Place(0), Place(2), Place(4)));
                break;
            case "v" when _numbers.Count == 4:
                To(Curve.Cubic(_at, _at, Place(0), Place(2)));
                break;
            case "y" when _numbers.Count == 4:
                To(Curve.Cubic(_at, Place(0), Place(2), Place(2)));
                break;
            case "re" when _numbers.Count == 4:
                Rectangle();
                break;
            case "h" when _paths.Count > 0:
                Close();
                break;
            case "S":
                Stroke();
                break;
            case "s":
                Close();
                Stroke();
                break;
            case "n" or "f" or "f*":
                _paths.Clear();
                break;
        }
    }

    private void Rectangle()
    {
        var (x, y, w, h) = (_numbers[0], _numbers[1], _numbers[2], _numbers[3]);
        Point[] corners = [Mm(x, y), Mm(x + w, y), Mm(x + w, y + h), Mm(x, y + h)];
        _paths.Add(([.. Contour.Polygon(corners).Curves], true));
        _at = corners[0];
    }

    private Point Place(int from) => Mm(_numbers[from], _numbers[from + 1]);

    private Point Mm(double x, double y)
    {
        var at = _map.Apply(new Point(x, y));
        return new Point(at.X * MmPerPoint, (pageHeight - at.Y) * MmPerPoint);
    }

    private void To(Curve curve)
    {
        if (_paths.Count > 0)
        {
            _paths[^1].Curves.Add(curve);
        }
        _at = curve.End;
    }

    private void Close()
    {
        var (curves, _) = _paths[^1];
        if (curves.Count > 0 && curves[^1].End.DistanceTo(curves[0].Start) > Tolerance.Same)
        {
            curves.Add(Curve.Line(curves[^1].End, curves[0].Start));
        }
        _paths[^1] = (curves, true);
    }

    private void Stroke()
    {
        var scale = Math.Sqrt(Math.Abs((_map.A * _map.D) - (_map.B * _map.C)));
        _found.AddRange(
            _paths
                .Where(path => path.Curves.Count > 0)
                .Select(path => new PdfStroke(new Contour([.. path.Curves]), path.IsClosed, _width * scale))
        );
        _paths.Clear();
    }
}
