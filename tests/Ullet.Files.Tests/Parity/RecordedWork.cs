using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Files.StitchLists;

namespace Ullet.Files.Tests.Parity;

/// <summary>What a project gave: a hash of each step's needle lines, of each cut shape's coordinates, and the findings' codes.</summary>
/// <param name="Steps">By hooping and step key: the j, s, t and stop lines of the stitch list, hashed.</param>
/// <param name="Cuts">By cloth, sheet, shape and copy: coordinates in 0.001 mm, hashed.</param>
/// <param name="Findings">Code and element, sorted.</param>
internal sealed record RecordedWork(
    SortedDictionary<string, string> Steps,
    SortedDictionary<string, string> Cuts,
    List<string> Findings
)
{
    internal static RecordedWork Of(Evaluated evaluated) =>
        new(
            new(Programs(evaluated).SelectMany(StepsOf).ToDictionary(), StringComparer.Ordinal),
            new(CutsOf(evaluated).ToDictionary(), StringComparer.Ordinal),
            [
                .. evaluated
                    .Findings.Select(finding => $"{finding.Code} {finding.ElementId}".TrimEnd())
                    .Order(StringComparer.Ordinal),
            ]
        );

    private static IEnumerable<(string Hooping, StitchProgram Program)> Programs(Evaluated evaluated) =>
        evaluated.Hoopings.Select(output => (output.Id, output.Program));

    private static IEnumerable<KeyValuePair<string, string>> StepsOf((string Hooping, StitchProgram Program) of)
    {
        var key = "";
        var lines = new StringBuilder();
        foreach (var line in Encoding.UTF8.GetString(StitchListWriter.Write(of.Program)).Split('\n'))
        {
            var words = line.Split(' ');
            if (words[0] is "step" or "end")
            {
                if (key.Length > 0)
                {
                    yield return new($"{of.Hooping} {key}", Hash(lines.ToString()));
                }
                var at = Array.IndexOf(words, "key");
                key = at > 0 && words[2] == "stitch" ? words[at + 1] : "";
                lines.Clear();
            }
            else if (words[0] is "j" or "s" or "t" or "stop")
            {
                lines.Append(line).Append('\n');
            }
        }
    }

    private static IEnumerable<KeyValuePair<string, string>> CutsOf(Evaluated evaluated) =>
        evaluated.Sheets.SelectMany(sheet =>
            sheet.Shapes.Select(placed => new KeyValuePair<string, string>(
                $"{sheet.Cloth.Id} {sheet.Number} {placed.Shape.Key} {placed.Copy}",
                Hash(
                    string.Join(
                        '\n',
                        placed
                            .Outline.Contours.SelectMany(contour => contour.Curves)
                            .Concat(placed.Lines.SelectMany(line => line.Curves))
                            .Select(Coordinates)
                    )
                )
            ))
        );

    private static string Coordinates(Curve curve)
    {
        List<Point> points = [curve.Start];
        curve.Flatten(Tolerance.Flatten, points);
        return string.Join(
            ' ',
            points.Select(point => string.Create(CultureInfo.InvariantCulture, $"{point.X:0.000},{point.Y:0.000}"))
        );
    }

    private static string Hash(string text) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text)))[..20];
}
