using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>Everything that a kind of form alone knows.</summary>
public interface IFormModule
{
    /// <summary>The type of its settings in the document.</summary>
    Type Settings { get; }

    /// <summary>What a form is called: "Heart", "Words".</summary>
    string Called(Form form);

    /// <summary>The outline of an element of this form in its box, mm; empty where nothing can be made of it.</summary>
    /// <param name="element">The element.</param>
    /// <param name="fonts">Where letters come from.</param>
    ElementOutline Outline(Element element, IGlyphSource fonts);

    /// <summary>Stands for all that the outline depends on, the box and the making's reading left aside.</summary>
    ContentHash Key(Form form, IGlyphSource fonts);

    /// <summary>Says what is wrong with its numbers, or null.</summary>
    Refusal? Check(Form form);

    /// <summary>Says why new input can't have this form, or null: it also asks what can be made of it.</summary>
    /// <param name="element">The element that is to be added.</param>
    /// <param name="fonts">Where letters come from.</param>
    Refusal? CheckAdded(Element element, IGlyphSource fonts);

    /// <summary>Says what is missing, so that nothing can be made of it; null when all is there.</summary>
    string? Missing(Form form);

    /// <summary>The form with numbers out of range brought back into it.</summary>
    Form Clamped(Form form);

    /// <summary>The form with typed texts cleaned; itself when they are.</summary>
    Form Cleaned(Form form) => form;

    /// <summary>The form when its element becomes larger by factors across and down.</summary>
    Form Scaled(Form form, double across, double down) => form;

    /// <summary>How many curves are drawn in it.</summary>
    int Curves(Form form) => 0;

    /// <summary>What it counts against limits of its own: what, how many, and the most.</summary>
    IEnumerable<(string What, int Count, int Most)> Counts(Form form) => [];

    /// <summary>The fonts that it names.</summary>
    IEnumerable<string> FontIds(Form form) => [];
}

/// <summary>A module that knows its settings' type.</summary>
/// <typeparam name="TForm">The settings.</typeparam>
public abstract class FormModule<TForm> : IFormModule
    where TForm : Form
{
    public Type Settings => typeof(TForm);

    public string Called(Form form) => Called((TForm)form);

    public ElementOutline Outline(Element element, IGlyphSource fonts) => Outline((TForm)element.Form, element, fonts);

    public ContentHash Key(Form form, IGlyphSource fonts) => Key((TForm)form, fonts);

    public Refusal? Check(Form form) => Check((TForm)form);

    public Refusal? CheckAdded(Element element, IGlyphSource fonts) => CheckAdded((TForm)element.Form, element, fonts);

    public string? Missing(Form form) => Missing((TForm)form);

    public Form Clamped(Form form) => Clamped((TForm)form);

    public Form Cleaned(Form form) => Cleaned((TForm)form);

    public Form Scaled(Form form, double across, double down) => Scaled((TForm)form, across, down);

    public int Curves(Form form) => Curves((TForm)form);

    public IEnumerable<(string What, int Count, int Most)> Counts(Form form) => Counts((TForm)form);

    public IEnumerable<string> FontIds(Form form) => FontIds((TForm)form);

    private protected abstract string Called(TForm form);

    private protected abstract ElementOutline Outline(TForm form, Element element, IGlyphSource fonts);

    private protected abstract ContentHash Key(TForm form, IGlyphSource fonts);

    private protected abstract Refusal? Check(TForm form);

    private protected abstract Refusal? CheckAdded(TForm form, Element element, IGlyphSource fonts);

    private protected abstract string? Missing(TForm form);

    private protected abstract TForm Clamped(TForm form);

    private protected virtual TForm Cleaned(TForm form) => form;

    private protected virtual TForm Scaled(TForm form, double across, double down) => form;

    private protected virtual int Curves(TForm form) => 0;

    private protected virtual IEnumerable<(string What, int Count, int Most)> Counts(TForm form) => [];

    private protected virtual IEnumerable<string> FontIds(TForm form) => [];

    /// <summary>The parts that are laid and sewn each on its own; none where a making takes the form as a whole.</summary>
    private protected static ElementOutline InParts(
        Element element,
        Outline whole,
        ImmutableArray<PartOutline> parts
    ) => new(whole, element.Making.IsInParts ? parts : []);
}

/// <summary>The forms that there are: the only list of them.</summary>
public static class FormModules
{
    public static readonly ImmutableArray<IFormModule> All =
    [
        new ShapeModule(),
        new DrawingModule(),
        new TextModule(),
        new OpenedFormModule(),
    ];

    private static readonly ImmutableDictionary<Type, IFormModule> ByType = All.ToImmutableDictionary(module =>
        module.Settings
    );

    /// <summary>The module of a form.</summary>
    public static IFormModule Of(Form form) => ByType[form.GetType()];
}
