using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names words whose font is not there, so that nothing is sewn of them.</summary>
internal sealed class FontMissingCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input
            .Project.Elements.Where(words =>
                words.FormedAs<TextForm>() is not null
                && input.Outlines[words.Id].IsEmpty
                && !input.Operated.Any(operated =>
                    operated.Element.Id == words.Id
                    && operated.Operations.Any(made => made.State == OperationState.Empty)
                )
            )
            .Select(words => new Finding(
                "font-missing",
                FindingLevel.Stop,
                words.Id,
                null,
                $"The font of {words.Name} is not in this installation, so its letters are neither sewn nor cut. Add the font "
                    + "again, or choose another."
            ));
}
