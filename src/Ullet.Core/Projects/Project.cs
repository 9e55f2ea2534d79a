using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>One document: hooping, cloths, threads, elements, run sheet and cut settings. Data only, immutable.</summary>
public sealed record Project
{
    /// <summary>The schema that this build writes. Older documents are raised to it when read.</summary>
    public const int CurrentSchema = 7;

    public int SchemaVersion { get; init; } = CurrentSchema;

    public required string Title { get; init; }

    /// <summary>How lengths are shown; the document itself is in mm always.</summary>
    public LengthUnit Unit { get; init; } = LengthUnit.Millimetre;

    /// <summary>The stack, bottom to top.</summary>
    public ImmutableArray<Element> Elements { get; init; } = [];

    public ImmutableArray<Cloth> Cloths { get; init; } = [];

    public ImmutableArray<MachineThread> Threads { get; init; } = [];

    /// <summary>Colours kept under names, to be tried and chosen again.</summary>
    [JsonIgnore]
    public ImmutableArray<Colourway> Colourways { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where none are kept.</summary>
    [JsonPropertyName("colourways")]
    public ImmutableArray<Colourway>? StoredColourways
    {
        get => Colourways.IsEmpty ? null : Colourways;
        init => Colourways = value is { IsDefault: false } kept ? kept : [];
    }

    /// <summary>What changes from order to order, in the order in which it is typed.</summary>
    [JsonIgnore]
    public ImmutableArray<FillIn> FillIns { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where nothing is marked.</summary>
    [JsonPropertyName("fillIns")]
    public ImmutableArray<FillIn>? StoredFillIns
    {
        get => FillIns.IsEmpty ? null : FillIns;
        init => FillIns = value is { IsDefault: false } marked ? marked : [];
    }

    /// <summary>Where the orders of a hooping for several lie; none in any other project.</summary>
    [JsonIgnore]
    public ImmutableArray<Seat> Seats { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where there are none.</summary>
    [JsonPropertyName("seats")]
    public ImmutableArray<Seat>? StoredSeats
    {
        get => Seats.IsEmpty ? null : Seats;
        init => Seats = value is { IsDefault: false } seats ? seats : [];
    }

    /// <summary>The stitch files that were opened in it.</summary>
    [JsonIgnore]
    public ImmutableArray<OpenedFile> OpenedFiles { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where none were.</summary>
    [JsonPropertyName("openedFiles")]
    public ImmutableArray<OpenedFile>? StoredOpenedFiles
    {
        get => OpenedFiles.IsEmpty ? null : OpenedFiles;
        init => OpenedFiles = value is { IsDefault: false } files ? files : [];
    }

    /// <summary>The times in the hoop that the document sets, the first one first; those that methods ask for come by themselves.</summary>
    public required ImmutableArray<Hooping> Hoopings { get; init; }

    /// <summary>The first hooping.</summary>
    [JsonIgnore]
    public Hooping Hooping
    {
        get => Hoopings[0];
        init => Hoopings = Hoopings.SetItem(0, value);
    }

    /// <summary>What the user decided about steps of the first hooping.</summary>
    [JsonIgnore]
    public RunSheetOverrides RunSheet
    {
        get => Hooping.RunSheet;
        init => Hooping = Hooping with { RunSheet = value };
    }

    /// <summary>What was set for hoopings that methods ask for.</summary>
    public ImmutableArray<HoopingChoice> HoopingChoices { get; init; } = [];

    public CutSettings Cut { get; init; } = new();

    /// <summary>The pattern that it was made from; null for one made by hand.</summary>
    public PatternUse? Pattern { get; init; }

    /// <summary>What was chosen last; new pieces begin with it.</summary>
    public Habits Habits { get; init; } = new();

    /// <summary>The number that the next new part gets in its id; never used twice, so that a StepKey names one step for ever.</summary>
    public int NextNumber { get; init; } = 1;

    /// <summary>What was brought back into its range when the document was read, a sentence each; not stored.</summary>
    [JsonIgnore]
    public ImmutableArray<string> Mended { get; init; } = [];

    /// <summary>A hooping that a method asks for: a cloth hooped alone, all else as was set for it, or as in the first.</summary>
    public Hooping Derived(string id, string name, string clothId)
    {
        var set = HoopingChoices.FirstOrDefault(choice => choice.Id == id);
        return new Hooping
        {
            Id = id,
            Name = name,
            Hoop = set?.Hoop ?? Hooping.Hoop,
            GroundClothId = clothId,
            LineThreadId = FindThread(set?.LineThreadId)?.Id ?? Hooping.LineThreadId,
            CoverThreadId = Hooping.CoverThreadId,
        };
    }

    public Element? Find(string elementId)
    {
        Budget.Spend(1 + (Elements.Length / 16));
        return Elements.FirstOrDefault(element => element.Id == elementId);
    }

    public Cloth? FindCloth(string? clothId) => Cloths.FirstOrDefault(cloth => cloth.Id == clothId);

    public MachineThread? FindThread(string? threadId) => Threads.FirstOrDefault(thread => thread.Id == threadId);

    /// <summary>The elements that are made of cloth, seen so, from the bottom of the stack.</summary>
    public IEnumerable<AppliqueElement> Appliques() => Elements.Select(AppliqueElement.Of).OfType<AppliqueElement>();

    /// <summary>The document with a changed element of cloth.</summary>
    public Project With(AppliqueElement changed) => With(changed.Element);

    public Project With(Element changed) =>
        this with
        {
            Elements = [.. Elements.Select(element => element.Id == changed.Id ? changed : element)],
        };
}

/// <summary>The unit in which lengths are shown and bare numbers are read.</summary>
public enum LengthUnit
{
    Millimetre,
    Inch,
}
