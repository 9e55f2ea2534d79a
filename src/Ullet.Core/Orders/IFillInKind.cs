using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Everything that a kind of fill-in alone knows.</summary>
public interface IFillInKind
{
    /// <summary>The type of what is said of it in the document.</summary>
    Type Settings { get; }

    /// <summary>Its word in files and requests.</summary>
    string Kind { get; }

    /// <summary>What a person calls it.</summary>
    string Name { get; }

    /// <summary>What may be chosen; nothing where it is typed freely.</summary>
    ImmutableArray<string> Options(FillIn fillIn, Project project);

    /// <summary>What was typed, as it is meant; or why it can't be.</summary>
    /// <param name="fillIn">What is filled in.</param>
    /// <param name="text">As typed, cleaned; empty for nothing.</param>
    /// <param name="project">The project.</param>
    /// <returns>Empty for nothing.</returns>
    Result<string> Read(FillIn fillIn, string text, Project project);

    /// <summary>Something odd about what was typed, which is taken all the same; null for nothing.</summary>
    string? Odd(FillIn fillIn, string text, string meant);

    /// <summary>The project with it filled in; nothing is done for a pattern's own, which are filled in all together.</summary>
    Result<Filled> Fill(FillIn fillIn, string meant, FillingWork work);
}

/// <summary>A project with one thing filled in.</summary>
/// <param name="Project">It.</param>
/// <param name="Rule">What was done to make it fit, in words; empty for nothing.</param>
public sealed record Filled(Project Project, string Rule = "")
{
    /// <summary>Where its words must lie; by element.</summary>
    public ImmutableArray<(string ElementId, FitRoom Room)> Rooms { get; init; } = [];

    /// <summary>What was moved up, and by how much, mm.</summary>
    public ImmutableArray<(string ElementId, double By)> MovedUp { get; init; } = [];
}

/// <summary>What filling in reads.</summary>
/// <param name="Project">As far as it is filled in.</param>
/// <param name="Master">As it was before any of it.</param>
/// <param name="Context">What edits read.</param>
/// <param name="Reach">How far needle points of an element were found outside its letters, mm, by its id; nothing known of others.</param>
public sealed record FillingWork(
    Project Project,
    Project Master,
    EditContext Context,
    IReadOnlyDictionary<string, double> Reach
)
{
    /// <summary>The rooms of a pattern's own words, by element; none of the project's own.</summary>
    public IReadOnlyDictionary<string, Box> PatternRooms { get; init; } = ImmutableDictionary<string, Box>.Empty;
}

/// <summary>A kind that knows its settings' type.</summary>
/// <typeparam name="TFillIn">What is said of it.</typeparam>
internal abstract class FillInKind<TFillIn> : IFillInKind
    where TFillIn : FillIn
{
    public Type Settings => typeof(TFillIn);

    public abstract string Kind { get; }

    public abstract string Name { get; }

    public ImmutableArray<string> Options(FillIn fillIn, Project project) => Options((TFillIn)fillIn, project);

    public Result<string> Read(FillIn fillIn, string text, Project project) => Read((TFillIn)fillIn, text, project);

    public string? Odd(FillIn fillIn, string text, string meant) => Odd((TFillIn)fillIn, text, meant);

    public Result<Filled> Fill(FillIn fillIn, string meant, FillingWork work) => Fill((TFillIn)fillIn, meant, work);

    private protected virtual ImmutableArray<string> Options(TFillIn fillIn, Project project) => [];

    private protected abstract Result<string> Read(TFillIn fillIn, string text, Project project);

    private protected virtual string? Odd(TFillIn fillIn, string text, string meant) => null;

    private protected abstract Result<Filled> Fill(TFillIn fillIn, string meant, FillingWork work);

    /// <summary>One of several by its name, however it is written; empty for none.</summary>
    private protected static Result<string> Among(string label, string text, ImmutableArray<string> options)
    {
        if (text.Length == 0)
        {
            return "";
        }
        var found = options.FirstOrDefault(option => string.Equals(option, text, StringComparison.OrdinalIgnoreCase));
        return found is not null
            ? found
            : new Refusal(
                "option-unknown",
                label,
                $"{label} is one of {string.Join(", ", options)}; “{Short(text)}” is none of them."
            );
    }

    private protected static string Short(string text) => text.Length > 40 ? text[..40] + "…" : text;
}

/// <summary>The kinds that there are: the only list of them.</summary>
public static class FillInKinds
{
    public static readonly ImmutableArray<IFillInKind> All =
    [
        new WordsFilling(),
        new NumberFilling(),
        new DrawingFilling(),
        new MotifFilling(),
        new ClothFilling(),
        new ThreadFilling(),
        new OptionalFilling(),
    ];

    private static readonly ImmutableDictionary<Type, IFillInKind> ByType = All.ToImmutableDictionary(kind =>
        kind.Settings
    );

    public static IFillInKind Of(FillIn fillIn) => ByType[fillIn.GetType()];
}
