using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Everything that a kind of making alone knows.</summary>
public interface IMakingModule
{
    /// <summary>The type of its settings in the document.</summary>
    Type Settings { get; }

    /// <summary>Its word in files and requests.</summary>
    string Kind { get; }

    /// <summary>What a person calls it: "Cloth".</summary>
    string Name { get; }

    /// <summary>One sentence for somebody who has to choose.</summary>
    string Summary { get; }

    /// <summary>Says in one sentence why an element can't be made so, or null: its form does not fit.</summary>
    string? Unfit(Element element);

    /// <summary>Settings for an element that never was made so: as chosen last in the project, else as usual.</summary>
    Making Begun(Element element, Project project);

    /// <summary>Says what is wrong with its numbers and texts, or null.</summary>
    Refusal? Check(Making making);

    /// <summary>What it counts against limits of its own: what, how many, and the most.</summary>
    IEnumerable<(string What, int Count, int Most)> Counts(Making making);

    /// <summary>The cloths that it names.</summary>
    IEnumerable<string> ClothIds(Making making);

    /// <summary>The threads that it names.</summary>
    IEnumerable<string> ThreadIds(Making making);

    /// <summary>The cloth that it is cut from; null for none.</summary>
    string? ClothOf(Making making);

    /// <summary>The settings in another cloth; themselves where there is none.</summary>
    Making InCloth(Making making, string clothId);

    /// <summary>The thread of what is seen of it in the end; null where nothing is sewn.</summary>
    string? ThreadOf(Making making, Project project);

    /// <summary>The settings with what is seen in another thread; themselves where nothing is sewn.</summary>
    Making InThread(Making making, string threadId);

    /// <summary>The settings with other ids in the place of those that it names.</summary>
    Making Renamed(Making making, IdMap ids);

    /// <summary>The settings with every number as first set.</summary>
    Making AsFirstSet(Making making);

    /// <summary>The settings with typed texts cleaned; themselves when they are.</summary>
    Making Cleaned(Making making);

    /// <summary>What is sewn of an element, with what hands do between; nothing where it is not sewn.</summary>
    ImmutableArray<SewnThing> Things(MakingInput input);

    /// <summary>What is cut out of it and never sewn.</summary>
    ImmutableArray<CutOut> CutOuts(MakingInput input);

    /// <summary>What is marked in hoopings of their own before.</summary>
    ImmutableArray<MarkedPiece> Marked(MakingInput input);

    /// <summary>How far its finished edge lies outside the bare outline, mm.</summary>
    double Beyond(Element element, Project project);

    /// <summary>How it is made, in a few words: "Cut beforehand, beetroot cotton".</summary>
    string HowMade(Element element, Project project);

    /// <summary>What is said of it before its size in a summary of the drawing; empty for nothing.</summary>
    string OfWhat(Element element, Project project);
}

/// <summary>Other ids for those that a making names.</summary>
/// <param name="Cloths">From old to new; every cloth must be in it.</param>
/// <param name="Threads">From old to new; one that is not in it becomes the project's own.</param>
/// <param name="Elements">From old to new; one that is not in it is left out.</param>
public sealed record IdMap(
    IReadOnlyDictionary<string, string> Cloths,
    IReadOnlyDictionary<string, string> Threads,
    IReadOnlyDictionary<string, string> Elements
)
{
    /// <summary>Openings of stitch files, from old to new; one that is not in it stays.</summary>
    public IReadOnlyDictionary<string, string> Files { get; init; } = ImmutableDictionary<string, string>.Empty;

    /// <summary>A thread by its new id; null for the project's own.</summary>
    public string? Thread(string? id) => id is null ? null : Threads.GetValueOrDefault(id);

    /// <summary>A step by its owner's new id; null when its owner did not come along.</summary>
    public StepKey? Step(StepKey? key) =>
        key is { } step && Elements.TryGetValue(step.OwnerId, out var owner) ? step with { OwnerId = owner } : null;
}

/// <summary>A module that knows its settings' type.</summary>
/// <typeparam name="TMaking">The settings.</typeparam>
public abstract class MakingModule<TMaking> : IMakingModule
    where TMaking : Making
{
    public Type Settings => typeof(TMaking);

    public abstract string Kind { get; }

    public abstract string Name { get; }

    public abstract string Summary { get; }

    public abstract string? Unfit(Element element);

    public abstract Making Begun(Element element, Project project);

    public Refusal? Check(Making making) => Check((TMaking)making);

    public IEnumerable<(string What, int Count, int Most)> Counts(Making making) => Counts((TMaking)making);

    public IEnumerable<string> ClothIds(Making making) => ClothIds((TMaking)making);

    public IEnumerable<string> ThreadIds(Making making) => ThreadIds((TMaking)making);

    public string? ClothOf(Making making) => ClothOf((TMaking)making);

    public Making InCloth(Making making, string clothId) => InCloth((TMaking)making, clothId);

    public string? ThreadOf(Making making, Project project) => ThreadOf((TMaking)making, project);

    public Making InThread(Making making, string threadId) => InThread((TMaking)making, threadId);

    public Making Renamed(Making making, IdMap ids) => Renamed((TMaking)making, ids);

    public Making AsFirstSet(Making making) => AsFirstSet((TMaking)making);

    public Making Cleaned(Making making) => Cleaned((TMaking)making);

    public ImmutableArray<SewnThing> Things(MakingInput input) =>
        input.Outline.IsEmpty ? [] : Things((TMaking)input.Element.Making, input);

    public ImmutableArray<CutOut> CutOuts(MakingInput input) =>
        input.Outline.IsEmpty ? [] : CutOuts((TMaking)input.Element.Making, input);

    public ImmutableArray<MarkedPiece> Marked(MakingInput input) => Marked((TMaking)input.Element.Making, input);

    public double Beyond(Element element, Project project) => Beyond((TMaking)element.Making, element, project);

    public string HowMade(Element element, Project project) => HowMade((TMaking)element.Making, element, project);

    public string OfWhat(Element element, Project project) => OfWhat((TMaking)element.Making, project);

    private protected abstract Refusal? Check(TMaking making);

    private protected virtual IEnumerable<(string What, int Count, int Most)> Counts(TMaking making) => [];

    private protected virtual IEnumerable<string> ClothIds(TMaking making) => [];

    private protected virtual IEnumerable<string> ThreadIds(TMaking making) => [];

    private protected virtual string? ClothOf(TMaking making) => null;

    private protected virtual TMaking InCloth(TMaking making, string clothId) => making;

    private protected virtual string? ThreadOf(TMaking making, Project project) => null;

    private protected virtual TMaking InThread(TMaking making, string threadId) => making;

    private protected abstract TMaking Renamed(TMaking making, IdMap ids);

    private protected abstract TMaking AsFirstSet(TMaking making);

    private protected virtual TMaking Cleaned(TMaking making) => making;

    private protected virtual ImmutableArray<SewnThing> Things(TMaking making, MakingInput input) => [];

    private protected virtual ImmutableArray<CutOut> CutOuts(TMaking making, MakingInput input) => [];

    private protected virtual ImmutableArray<MarkedPiece> Marked(TMaking making, MakingInput input) => [];

    private protected virtual double Beyond(TMaking making, Element element, Project project) => 0;

    private protected abstract string HowMade(TMaking making, Element element, Project project);

    private protected virtual string OfWhat(TMaking making, Project project) => "";

    /// <summary>Says that a making needs an area, where the form is an open line.</summary>
    private protected static string? NeedsArea(Element element, string what) =>
        element.FormedAs<DrawingForm>() is { IsOpen: true }
            ? $"{element.Name} is an open line, which encloses nothing; {what} needs an edge that closes. Join its ends first."
            : null;

    /// <summary>Says that what is cut needs letters with an area, where the font is one of single lines.</summary>
    /// <param name="element">Words, or anything else.</param>
    /// <param name="instead">A sentence with what to do.</param>
    private protected static string? NeedsLettersToCut(Element element, string instead) =>
        element.FormedAs<TextForm>() is { } words && SingleLineFonts.Has(words.FontId)
            ? $"{element.Name} is set in letters of single lines, which enclose nothing that could be cut. {instead}"
            : null;
}

/// <summary>The makings that there are: the only list of them.</summary>
public static class MakingModules
{
    public static readonly ImmutableArray<IMakingModule> All =
    [
        new ClothModule(),
        new SatinModule(),
        new FilledModule(),
        new LineModule(),
        new BastingModule(),
        new OpenedModule(),
        new CutOnlyModule(),
        new ZoneModule(),
        new ConstructionModule(),
    ];

    private static readonly ImmutableDictionary<Type, IMakingModule> ByType = All.ToImmutableDictionary(module =>
        module.Settings
    );

    public static IMakingModule Of(Making making) => ByType[making.GetType()];

    /// <summary>The module of a kind of making.</summary>
    public static IMakingModule Of<TMaking>()
        where TMaking : Making => ByType[typeof(TMaking)];

    /// <summary>The module of an element's making.</summary>
    public static IMakingModule Of(Element element) => Of(element.Making);

    /// <summary>The module that a word names; null for none.</summary>
    public static IMakingModule? Find(string kind) => All.FirstOrDefault(module => module.Kind == kind);
}
