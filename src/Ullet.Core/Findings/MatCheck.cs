using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do the cut shapes of each cloth fit the mat?</summary>
internal sealed class MatCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input
            .Sheets.Where(sheet => !sheet.Fits)
            .Select(sheet =>
            {
                var box = sheet.Bounds();
                return new Finding(
                    "mat-too-small",
                    FindingLevel.Warn,
                    sheet.Shapes[0].Shape.ElementId,
                    null,
                    $"The shapes cut from {sheet.Cloth.Name} reach to {LengthText.Mm(box.MaxX)} across and "
                        + $"{LengthText.Mm(box.MaxY)} down; the mat is {sheet.MatWidth:0} × {sheet.MatHeight:0} mm. "
                        + "Set a larger mat, or make the pieces smaller."
                );
            });
}
