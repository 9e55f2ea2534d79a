using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Where the values of a trait are chosen from.</summary>
public enum TraitSource
{
    /// <summary>The choices that come with the trait.</summary>
    Choices,

    /// <summary>The project's cloths, by id.</summary>
    Cloths,

    /// <summary>The project's threads, by id.</summary>
    Threads,

    /// <summary>The fonts that are there, by id.</summary>
    Fonts,

    /// <summary>A length that is typed, mm.</summary>
    Length,

    /// <summary>A text that is typed.</summary>
    Text,
}

/// <summary>What a trait is of one element.</summary>
/// <param name="Word">An id, a kind or a text; empty for a length.</param>
/// <param name="Length">mm; 0 for anything but a length.</param>
public sealed record TraitValue(string Word, double Length = 0)
{
    /// <summary>The words one by one, of a trait that can be several at once; null for one that can't.</summary>
    public ImmutableArray<string>? Several { get; init; }

    /// <summary>A length, mm.</summary>
    internal static TraitValue Of(double length) => new("", length);
}

/// <summary>A value that can be chosen.</summary>
public sealed record TraitChoice(string Word, string Name);

/// <summary>Something that elements of several kinds have in common, so that it can be read, selected by and set for many at once.</summary>
/// <param name="id">Its word in requests.</param>
/// <param name="name">What a person calls it: "Thread".</param>
/// <param name="source">Where its values come from.</param>
public abstract class Trait(string id, string name, TraitSource source)
{
    /// <summary>Its word in requests.</summary>
    public string Id { get; } = id;

    /// <summary>What a person calls it: "Thread".</summary>
    public string Name { get; } = name;

    /// <summary>Where its values come from.</summary>
    public TraitSource Source { get; } = source;

    /// <summary>What can be chosen, for <see cref="TraitSource.Choices"/>; also for what is only told.</summary>
    public virtual ImmutableArray<TraitChoice> Choices => [];

    /// <summary>True where elements that share it can be selected together.</summary>
    public bool SelectsBy { get; init; }

    /// <summary>False for what an element is, and can't be told to be.</summary>
    public bool CanBeSet { get; init; } = true;

    /// <summary>What it is of an element; null where it means nothing there.</summary>
    public abstract TraitValue? Of(Element element, Project project, Evaluator evaluator);

    /// <summary>The edit that gives it to one element.</summary>
    /// <param name="element">One that has the trait.</param>
    /// <param name="value">The value.</param>
    internal abstract Result<Edit> Given(Element element, TraitValue value);
}
