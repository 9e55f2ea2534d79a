using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>The ranges of operations' numbers, and what they may use.</summary>
public static class OperationLimits
{
    /// <summary>Most operations on one element.</summary>
    public const int MostOperations = 24;

    /// <summary>Most copies that one operation makes.</summary>
    public const int MostCopies = 100;

    /// <summary>Most sources or spots of one operation.</summary>
    public const int MostSources = 200;

    /// <summary>Says what is wrong with an operation's numbers, or null.</summary>
    public static Refusal? Check(Operation operation) => OperationTable.Of(operation).Check(operation);

    /// <summary>Says why an element can't have this operation, or null: sources that are not there, the element itself, a
    /// circle, a kind that does not go together.</summary>
    public static Refusal? CheckSources(Project project, Element element, Operation operation)
    {
        if (operation is SourcedOperation { SourceIds: { IsDefaultOrEmpty: true } or { Length: > MostSources } })
        {
            return new Refusal(
                "sources-missing",
                "sourceIds",
                $"Choose the elements that {element.Name} is to be changed with, from 1 to {MostSources}."
            );
        }
        if (element is { Making.FollowsLines: true, Form: DrawingForm { IsOpen: true } } && !WorksOnLines(operation))
        {
            return new Refusal(
                "operation-unfit",
                "operation",
                $"{element.Name} is an open line without cloth: it can be carved, kept inside others, repeated and mirrored, no more."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        if (operation is CutBeneath && CutUnfit(element) is { } unfit)
        {
            return unfit;
        }
        if (operation is Split { RightClothId: { } cloth } && project.FindCloth(cloth) is null)
        {
            return new Refusal("cloth-unknown", "rightClothId", $"There is no cloth \"{cloth}\" in this project.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        foreach (var id in operation.Sources)
        {
            if (id == element.Id)
            {
                return new Refusal("source-itself", "sourceIds", $"{element.Name} can't be changed with itself.")
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            if (project.Find(id) is not { } source)
            {
                return new Refusal(
                    "element-unknown",
                    "sourceIds",
                    $"There is no element \"{id}\" in this project; it may have been deleted."
                )
                {
                    Kind = RefusalKind.NotFound,
                };
            }
            if (Uses(project, source, element.Id))
            {
                return new Refusal(
                    "operations-in-a-circle",
                    "sourceIds",
                    $"{source.Name} is itself made with {element.Name}, so {element.Name} can't be made with it. Take that "
                        + $"operation off {source.Name}, or freeze it into nodes first."
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            if (operation is CutBeneath && (source.Making.FollowsLines || !source.Making.IsSewn))
            {
                return new Refusal(
                    "source-covers-nothing",
                    "sourceIds",
                    $"{source.Name} covers nothing that could be cut away."
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            if (
                operation is Join or KeepOverlap
                && source is { Making.FollowsLines: true, Form: DrawingForm { IsOpen: true } }
            )
            {
                return new Refusal(
                    "source-open",
                    "sourceIds",
                    $"{source.Name} is an open line, which encloses nothing. Carve with it, or close it."
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
        }
        return null;
    }

    /// <summary>Why nothing may be cut away of an element, or null: only areas filled with rows, never letters or a part that has a job.</summary>
    public static Refusal? CutUnfit(Element element) =>
        element.Making is not FilledMaking || element.Form is TextForm || element.PatternPart is not null
            ? new Refusal(
                "cut-unfit",
                "elementId",
                $"Nothing is cut away of {element.Name}: only areas filled with rows are, never letters, lines or parts of a pattern."
            )
            {
                Kind = RefusalKind.NotPossible,
            }
            : null;

    /// <summary>True for what can be done to a line without cloth as well.</summary>
    public static bool WorksOnLines(Operation operation) => OperationTable.Of(operation).WorksOnLines;

    /// <summary>True when an element is made with another one, directly or through others.</summary>
    public static bool Uses(Project project, Element element, string sourceId)
    {
        var (seen, next) = (new HashSet<string>(StringComparer.Ordinal), new Stack<Element>([element]));
        while (next.TryPop(out var at))
        {
            foreach (var id in at.SourceIds())
            {
                if (id == sourceId)
                {
                    return true;
                }
                if (seen.Add(id) && project.Find(id) is { } source)
                {
                    next.Push(source);
                }
            }
        }
        return false;
    }
}
