using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Names of groups that elements stand in: "date", "weight".</summary>
public static class GroupNames
{
    /// <summary>Most groups that one element stands in.</summary>
    public const int Most = 8;

    private const string Between = ", ";

    /// <summary>The names as they are typed and read.</summary>
    public static string Joined(ImmutableArray<string> names) => string.Join(Between, names);

    /// <summary>The names that were typed with commas between them, each once; none for an empty text.</summary>
    /// <returns>Or the refusal: too many, or one that is too long.</returns>
    public static Result<ImmutableArray<string>> Read(string typed)
    {
        ImmutableArray<string> names =
        [
            .. PlainText
                .Line(typed)
                .Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
                .Distinct(StringComparer.Ordinal),
        ];
        return Check(names) is { } wrong ? wrong : names;
    }

    /// <summary>Says what is wrong with names, or null.</summary>
    public static Refusal? Check(ImmutableArray<string> names) =>
        names.Length > Most
            ? new Refusal(
                "groups-too-many",
                "names",
                $"An element may stand in {Most} groups; {names.Length} are named."
            )
            : names.Select(name => Limits.CheckName(name, "A group")).FirstOrDefault(no => no is not null);
}
