using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does every cut shape lie on its mat and its cloth, clear of the others?</summary>
internal sealed class MatCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input.Sheets.SelectMany(sheet =>
            (sheet.Fits ? [] : TooLarge(sheet, input.Project)).Concat(Meetings(sheet, input.Project))
        );

    private static IEnumerable<Finding> TooLarge(CutSheet sheet, Project project)
    {
        var (usable, mat) = (sheet.Setup.Usable, sheet.Setup.Mat);
        foreach (var unit in sheet.Shapes.GroupBy(placed => placed.Unit))
        {
            var box = unit.Aggregate(Box.Empty, (all, placed) => all.Union(placed.Outline.Bounds()));
            if (usable.Contains(box, Tolerance.Quantum))
            {
                continue;
            }
            var first = unit.First().Shape;
            var name = unit.Count() == 1 ? first.Name : $"what is cut in place from {sheet.Cloth.Name}";
            if (box.Width <= usable.Width + Tolerance.Same && box.Height <= usable.Height + Tolerance.Same)
            {
                yield return Found(
                    first,
                    project,
                    $"On sheet {sheet.Number} of {sheet.Cloth.Name}, {name} reaches past the cloth or into the mat's margin. "
                        + "Move it, or lay the cloth out again."
                );
                continue;
            }
            var size = $"{LengthText.Mm(box.Width)} × {LengthText.Mm(box.Height)}";
            var words =
                $"{Capital(name)} takes {size} of {sheet.Cloth.Name}; there is room for {usable.Width:0} × {usable.Height:0} mm on the mat of "
                + $"{mat.Width:0} × {mat.Height:0} mm.";
            var narrow = sheet.Setup.Cut.UsableWidth is { } cloth && box.Width > cloth;
            if (!narrow && Mats.Smallest(box, mat.Margin) is { } larger)
            {
                yield return Found(
                    first,
                    project,
                    $"{words} The smallest mat that takes it is {larger.Width:0} × {larger.Height:0} mm.",
                    new LargerMatMend(sheet.Cloth.Id, larger)
                );
            }
            else
            {
                var why = narrow ? "Use a wider cloth" : "No mat takes it: cut it by hand";
                var split = project.Find(first.ElementId) is { Form: not TextForm } && unit.Count() == 1;
                yield return Found(
                    first,
                    project,
                    $"{words} {why}, make it smaller{(split ? ", or split it in two that share an edge" : "")}.",
                    split ? new SplitMend(first.ElementId, box.Height > box.Width) : null
                );
            }
        }
    }

    private static IEnumerable<Finding> Meetings(CutSheet sheet, Project project) =>
        sheet.Meetings.Select(meeting =>
        {
            return Found(
                sheet.Shapes[meeting.First].Shape,
                project,
                $"On sheet {sheet.Number} of {sheet.Cloth.Name}, {sheet.NamesOf(meeting)} overlap or lie nearer to each other than "
                    + $"{SheetPlanner.LeastGap:0} mm: the knife spoils one of them. Move one, or lay the cloth out again."
            ) with
            {
                Code = "cut-shapes-meet",
            };
        });

    private static Finding Found(CutShape shape, Project project, string words, Mend? mend = null) =>
        new("mat-too-small", FindingLevel.Warn, project.Find(shape.ElementId)?.Id, null, words, mend);

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}
