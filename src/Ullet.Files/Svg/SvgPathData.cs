using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Svg;

/// <summary>SVG path data to contours, through SkiaSharp's parser.</summary>
internal static class SvgPathData
{
    /// <summary>Checking and parsing can't be stopped once begun: some 40 ns a character.</summary>
    private const double StepsPerCharacter = 4;

    /// <returns>False when the data can't be parsed. Contours of no length are left out.</returns>
    internal static bool TryParse(string data, out List<(Contour Contour, bool IsClosed)> contours)
    {
        contours = [];
        Budget.SpendAhead(StepsPerCharacter * data.Length);
        if (!SvgPathSyntax.IsWhole(data))
        {
            return false;
        }
        using var path = SKPath.ParseSvgPathData(data);
        if (path is null)
        {
            return false;
        }
        contours = SkiaPaths.Contours(path);
        return contours.All(pair => pair.Contour.Curves.All(c => double.IsFinite(c.End.X) && double.IsFinite(c.End.Y)));
    }
}
