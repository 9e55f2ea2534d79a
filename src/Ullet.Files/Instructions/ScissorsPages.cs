using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Files.CutFiles;

namespace Ullet.Files.Instructions;

/// <summary>Everything that is cut at true size on paper, labelled and marked, as PDF: to cut round with scissors.</summary>
public static class ScissorsPages
{
    /// <returns>The pages; "nothing-to-cut" for a project without cut shapes.</returns>
    public static Result<byte[]> Pdf(Evaluated evaluated, Paper paper)
    {
        var size = PaperSize.Of(paper == Paper.Sheet ? Paper.A4 : paper);
        var sheets = ScissorsPlan.Of(evaluated.Project, evaluated.Cuts, size.PrintedWidth - 4, size.PrintedHeight - 4);
        return sheets.IsEmpty
            ? new Refusal("nothing-to-cut", "id", "This project has nothing to cut yet; add a piece first.")
            : CutExport.Pdf(
                [.. sheets.Select(sheet => CutPage.Of(evaluated.Project.Title, sheet))],
                paper == Paper.Sheet ? Paper.A4 : paper
            );
    }
}
