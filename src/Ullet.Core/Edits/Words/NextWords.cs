using Ullet.Core.Evaluation;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>How new words begin in a project: as those that were set last.</summary>
/// <param name="FontId">The font; null where no words stand on the wall.</param>
/// <param name="CapHeight">mm; null where no words stand on the wall.</param>
/// <param name="Use">What becomes of the letters.</param>
public sealed record NextWords(string? FontId, double? CapHeight, WordsUse Use)
{
    public static NextWords Of(Project project, Evaluator evaluator)
    {
        var last = project.Elements.LastOrDefault(element => element.Form is TextForm && element.PatternPart is null);
        var height = last is null ? 0 : evaluator.CapHeightOf(last);
        return new NextWords(
            last?.FormedAs<TextForm>()!.FontId,
            height > 0 ? height : null,
            project.Habits.WordsUse ?? WordsUse.OneByOne
        );
    }
}
