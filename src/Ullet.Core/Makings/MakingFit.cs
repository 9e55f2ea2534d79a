using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Which makings a form can take at all.</summary>
public static class MakingFit
{
    /// <summary>True where a form and a making go together: needle points of a file are sewn as they stand, and nothing else is.</summary>
    public static bool Goes(Form form, Type making) => form is OpenedForm == (making == typeof(OpenedMaking));

    /// <summary>Says that they do not, or null.</summary>
    public static Refusal? Check(Element element, IMakingModule module) =>
        Goes(element.Form, module.Settings)
            ? null
            : new Refusal(
                "making-unfit",
                "kind",
                element.Form is OpenedForm
                    ? $"{element.Name} is needle points of a file, which are sewn as they stand. Make it live, and it can be made anything."
                    : $"{element.Name} has no needle points of a file."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
}
