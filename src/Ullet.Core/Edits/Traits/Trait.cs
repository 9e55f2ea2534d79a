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
public sealed record TraitValue(string Word, double Length = 0);

/// <summary>A value that can be chosen.</summary>
public sealed record TraitChoice(string Word, string Name);

/// <summary>Something that elements of several kinds have in common, so that it can be read, selected by and set for many at once.</summary>
public abstract class Trait
{
    /// <summary>Its word in requests.</summary>
    public abstract string Id { get; }

    /// <summary>What a person calls it: "Thread".</summary>
    public abstract string Name { get; }

    /// <summary>Where its values come from.</summary>
    public abstract TraitSource Source { get; }

    /// <summary>What can be chosen, for <see cref="TraitSource.Choices"/>; also for what is only told.</summary>
    public virtual ImmutableArray<TraitChoice> Choices => [];

    /// <summary>True where elements that share it can be selected together.</summary>
    public virtual bool SelectsBy => false;

    /// <summary>False for what an element is, and can't be told to be.</summary>
    public virtual bool CanBeSet => true;

    /// <summary>What it is of an element; null where it means nothing there.</summary>
    public abstract TraitValue? Of(Element element, Project project, Evaluator evaluator);

    /// <summary>The edit that gives it to one element.</summary>
    /// <param name="element">One that has the trait.</param>
    /// <param name="value">The value.</param>
    internal abstract Result<Edit> Given(Element element, TraitValue value);
}
