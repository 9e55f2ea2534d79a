using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Something of a project that changes from order to order.</summary>
/// <remarks>A pattern's own fill-ins are such without being marked; one that names <see cref="PatternFillInId"/> says more of one of
/// them. The order of a project's fill-ins is the order in which they are typed.</remarks>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(WordsFillIn), "words")]
[JsonDerivedType(typeof(NumberFillIn), "number")]
[JsonDerivedType(typeof(DrawingFillIn), "drawing")]
[JsonDerivedType(typeof(MotifFillIn), "motif")]
[JsonDerivedType(typeof(ClothFillIn), "cloth")]
[JsonDerivedType(typeof(ThreadFillIn), "thread")]
[JsonDerivedType(typeof(OptionalFillIn), "optional")]
public abstract record FillIn
{
    /// <summary>Names it for ever.</summary>
    public required string Id { get; init; }

    /// <summary>What it is called in the order book: "Name"; 1 to 80 characters, once in a project.</summary>
    public required string Label { get; init; }

    /// <summary>The field's group, as "date"; null for none.</summary>
    public string? Group { get; init; }

    /// <summary>What is shown of it where it is to be filled in; null for none.</summary>
    public string? Example { get; init; }

    /// <summary>The fill-in of the project's pattern that it is; null for one of the project's own.</summary>
    public string? PatternFillInId { get; init; }

    /// <summary>Says what is wrong with its numbers and texts, or null.</summary>
    public Refusal? Check() =>
        Limits.CheckName(Label, "A fill-in")
        ?? (Group is { } group ? Limits.CheckName(group, "A group of fill-ins") : null)
        ?? (
            Example is { Length: > FillInLimits.LongestValue }
                ? new Refusal(
                    "text-too-long",
                    "example",
                    $"The example of {Label} has more than {FillInLimits.LongestValue} characters."
                )
                : null
        )
        ?? CheckOwn();

    /// <summary>The elements that it changes.</summary>
    [JsonIgnore]
    public abstract ImmutableArray<string> Elements { get; }

    /// <summary>The cloths that it names.</summary>
    [JsonIgnore]
    public virtual ImmutableArray<string> Cloths => [];

    /// <summary>The threads that it names.</summary>
    [JsonIgnore]
    public virtual ImmutableArray<string> Threads => [];

    /// <summary>Elements that it keeps to choose from; they are not on the wall.</summary>
    [JsonIgnore]
    public virtual IEnumerable<ImmutableArray<Element>> Choices => [];

    /// <summary>The same after cloths and threads were exchanged, with the elements that it keeps changed as well.</summary>
    /// <param name="cloth">The cloth in the place of one.</param>
    /// <param name="thread">The thread in the place of one.</param>
    /// <param name="element">A kept element as it is then.</param>
    public virtual FillIn Exchanged(
        Func<string, string> cloth,
        Func<string, string> thread,
        Func<Element, Element> element
    ) => this;

    /// <summary>The same for a design that is made larger as a whole about the field's middle.</summary>
    /// <param name="by">By how much, over 0.</param>
    public virtual FillIn Scaled(double by) => this;

    /// <summary>Without elements that are gone; null where nothing is left of it.</summary>
    public abstract FillIn? Without(IReadOnlySet<string> elementIds);

    private protected abstract Refusal? CheckOwn();

    private protected static ImmutableArray<string> Left(ImmutableArray<string> ids, IReadOnlySet<string> gone) =>
        [.. ids.Where(id => !gone.Contains(id))];
}

/// <summary>A fill-in that is set in letters.</summary>
public abstract record LetteredFillIn : FillIn
{
    /// <summary>The words on the wall that show it; none for a pattern's own, which are found by its plan.</summary>
    public ImmutableArray<string> ElementIds { get; init; } = [];

    /// <summary>How it is fitted.</summary>
    public WordsFit Fit { get; init; } = new();

    public override FillIn Scaled(double by) => this with { Fit = Fit.Scaled(by) };

    public WhenEmpty WhenEmpty { get; init; }

    /// <summary>What is set where nothing is given, with <see cref="WhenEmpty.Instead"/>.</summary>
    public string? Instead { get; init; }

    [JsonIgnore]
    public override ImmutableArray<string> Elements => ElementIds;

    public override FillIn? Without(IReadOnlySet<string> elementIds)
    {
        var left = Left(ElementIds, elementIds);
        return left.IsEmpty && !ElementIds.IsEmpty ? null : this with { ElementIds = left };
    }

    private protected override Refusal? CheckOwn() =>
        Fit.Check(Label)
        ?? (
            WhenEmpty == WhenEmpty.Instead && string.IsNullOrWhiteSpace(Instead)
                ? new Refusal(
                    "instead-empty",
                    "instead",
                    $"Say which text takes the place of {Label} where it is empty."
                )
                : null
        );
}

/// <summary>What becomes of the place of words that are not given.</summary>
public enum WhenEmpty
{
    /// <summary>Its steps go; the place stays free.</summary>
    LeaveFree,

    /// <summary>Its steps go, and what stands below it in the same group moves up.</summary>
    CloseUp,

    /// <summary>Another text is set in its place.</summary>
    Instead,
}

/// <summary>Words.</summary>
public sealed record WordsFillIn : LetteredFillIn
{
    public CharacterSet Characters { get; init; }

    /// <summary>Characters that are allowed beside the set.</summary>
    public string Also { get; init; } = "";

    /// <summary>Most characters; 1 to 200.</summary>
    public int Longest { get; init; } = FillInLimits.UsualLongest;

    private protected override Refusal? CheckOwn() =>
        Limits.CheckRange(Longest, 1, TextForm.LongestText, "characters", $"The longest text of {Label}", "longest")
        ?? (
            Also.Length > FillInLimits.LongestValue
                ? new Refusal("text-too-long", "also", $"More characters are allowed in {Label} than can be listed.")
                : null
        )
        ?? base.CheckOwn();
}

/// <summary>Which characters words may have.</summary>
public enum CharacterSet
{
    Any,

    /// <summary>Letters with their accents, spaces, apostrophes, hyphens and full stops.</summary>
    Letters,

    /// <summary>The same, and figures.</summary>
    LettersAndFigures,

    Figures,
}

/// <summary>A number, set in figures.</summary>
public sealed record NumberFillIn : LetteredFillIn
{
    /// <summary>Smallest; usually 1.</summary>
    public double Least { get; init; } = 1;

    /// <summary>Largest; usually 999.</summary>
    public double Most { get; init; } = 999;

    /// <summary>Figures after the point; 0 to 3.</summary>
    public int Decimals { get; init; }

    /// <summary>Filled up with noughts to so many figures before the point; 0 to 6.</summary>
    public int Figures { get; init; }

    private protected override Refusal? CheckOwn() =>
        Limits.CheckRange(Least, -1e6, 1e6, "", $"The smallest {Label}", "least")
        ?? Limits.CheckRange(Most, Least, 1e6, "", $"The largest {Label}", "most")
        ?? Limits.CheckRange(Decimals, 0, 3, "", $"The decimals of {Label}", "decimals")
        ?? Limits.CheckRange(Figures, 0, 6, "", $"The figures of {Label}", "figures")
        ?? base.CheckOwn();
}

/// <summary>A drawing out of a few, each as it stands in its place.</summary>
public sealed record DrawingFillIn : FillIn
{
    /// <summary>Most drawings of one.</summary>
    public const int MostOptions = 24;

    /// <summary>What stands in its place now.</summary>
    public ImmutableArray<string> ElementIds { get; init; } = [];

    public ImmutableArray<DrawingOption> Options { get; init; } = [];

    [JsonIgnore]
    public override ImmutableArray<string> Elements => ElementIds;

    [JsonIgnore]
    public override IEnumerable<ImmutableArray<Element>> Choices => Options.Select(option => option.Elements);

    public override FillIn Exchanged(
        Func<string, string> cloth,
        Func<string, string> thread,
        Func<Element, Element> element
    ) =>
        this with
        {
            Options = [.. Options.Select(option => option with { Elements = [.. option.Elements.Select(element)] })],
        };

    public override FillIn? Without(IReadOnlySet<string> elementIds) =>
        Left(ElementIds, elementIds) is { IsEmpty: false } left ? this with { ElementIds = left } : null;

    private protected override Refusal? CheckOwn() =>
        Options.Length is < 2 or > MostOptions
            ? new Refusal("options-count", "options", $"{Label} needs 2 to {MostOptions} drawings to choose from.")
            : FillInLimits.CheckOptions(Label, [.. Options.Select(option => option.Name)]);
}

/// <summary>One of several drawings.</summary>
/// <param name="Name">What it is called in the order book.</param>
/// <param name="Elements">Its elements in their place, from the bottom; their cloths and threads are the project's.</param>
public sealed record DrawingOption(string Name, ImmutableArray<Element> Elements);

/// <summary>A motif of the project's pattern.</summary>
public sealed record MotifFillIn : FillIn
{
    /// <summary>Those that may be chosen.</summary>
    public ImmutableArray<string> Options { get; init; } = [];

    [JsonIgnore]
    public override ImmutableArray<string> Elements => [];

    public override FillIn? Without(IReadOnlySet<string> elementIds) => this;

    private protected override Refusal? CheckOwn() =>
        PatternFillInId is null
            ? new Refusal("pattern-fill-in-missing", "patternFillInId", $"{Label} names no motif of a pattern.")
            : FillInLimits.CheckOptions(Label, Options);
}

/// <summary>A cloth of the project, wherever it is used.</summary>
public sealed record ClothFillIn : FillIn
{
    /// <summary>The cloth whose place is taken.</summary>
    public required string ClothId { get; init; }

    /// <summary>The cloths of the project that may take it.</summary>
    public ImmutableArray<string> OptionIds { get; init; } = [];

    [JsonIgnore]
    public override ImmutableArray<string> Cloths => OptionIds.Insert(0, ClothId);

    /// <summary>It goes with what took the place of its cloth.</summary>
    public override FillIn Exchanged(
        Func<string, string> cloth,
        Func<string, string> thread,
        Func<Element, Element> element
    ) => this with { ClothId = cloth(ClothId) };

    [JsonIgnore]
    public override ImmutableArray<string> Elements => [];

    public override FillIn? Without(IReadOnlySet<string> elementIds) => this;

    private protected override Refusal? CheckOwn() => FillInLimits.CheckOptions(Label, OptionIds);
}

/// <summary>A thread of the project, wherever it is used.</summary>
public sealed record ThreadFillIn : FillIn
{
    /// <summary>The thread whose place is taken.</summary>
    public required string ThreadId { get; init; }

    /// <summary>The threads of the project that may take it.</summary>
    public ImmutableArray<string> OptionIds { get; init; } = [];

    [JsonIgnore]
    public override ImmutableArray<string> Threads => OptionIds.Insert(0, ThreadId);

    /// <summary>It goes with what took the place of its thread.</summary>
    public override FillIn Exchanged(
        Func<string, string> cloth,
        Func<string, string> thread,
        Func<Element, Element> element
    ) => this with { ThreadId = thread(ThreadId) };

    [JsonIgnore]
    public override ImmutableArray<string> Elements => [];

    public override FillIn? Without(IReadOnlySet<string> elementIds) => this;

    private protected override Refusal? CheckOwn() => FillInLimits.CheckOptions(Label, OptionIds);
}

/// <summary>Elements that an order has, or has not.</summary>
public sealed record OptionalFillIn : FillIn
{
    public ImmutableArray<string> ElementIds { get; init; } = [];

    [JsonIgnore]
    public override ImmutableArray<string> Elements => ElementIds;

    public override FillIn? Without(IReadOnlySet<string> elementIds) =>
        Left(ElementIds, elementIds) is { IsEmpty: false } left ? this with { ElementIds = left } : null;

    private protected override Refusal? CheckOwn() =>
        ElementIds.IsEmpty
            ? new Refusal("nothing-selected", "elementIds", $"{Label} needs an element that may be left out.")
            : null;
}
