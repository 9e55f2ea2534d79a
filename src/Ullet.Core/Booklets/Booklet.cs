using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Moments;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>Instructions that one can sew from, before they are set on pages: cover, what to cut, what to know, every step, care.</summary>
/// <param name="Title">The project's name.</param>
/// <param name="Code">The short code of the state.</param>
/// <param name="Facts">What the cover says: what, and the answer.</param>
/// <param name="Threads">The threads by block, in the order in which the machine asks for them.</param>
/// <param name="Cuts">What is cut first.</param>
/// <param name="Before">What to know before the first step, a sentence each.</param>
/// <param name="Chapters">The hoopings, those that the others need first.</param>
/// <param name="Film">Weeding and transfer of cut film, in order; none where no film is cut.</param>
/// <param name="Care">Finishing and care, a sentence each.</param>
/// <param name="Cautions">What stood against it when it was made all the same.</param>
public sealed record Booklet(
    string Title,
    string Code,
    ImmutableArray<BookletFact> Facts,
    ImmutableArray<BookletThread> Threads,
    ImmutableArray<CutRow> Cuts,
    ImmutableArray<string> Before,
    ImmutableArray<BookletChapter> Chapters,
    ImmutableArray<string> Film,
    ImmutableArray<string> Care,
    ImmutableArray<string> Cautions
);

/// <param name="What">What is told.</param>
/// <param name="Said">What it is.</param>
public sealed record BookletFact(string What, string Said);

/// <summary>A thread as the machine asks for it.</summary>
/// <param name="Blocks">"1, 2 and 5".</param>
/// <param name="Name">The thread.</param>
/// <param name="Colour">#rrggbb.</param>
public sealed record BookletThread(string Blocks, string Name, string Colour);

/// <summary>Something that is cut first.</summary>
/// <param name="Name">What it becomes.</param>
/// <param name="Cloth">What it is cut from.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="Count">How many.</param>
/// <param name="Width">mm; 0 where it is not measured.</param>
/// <param name="Height">mm.</param>
/// <param name="Size">In words, mm and inches.</param>
/// <param name="Grain">How it lies to the cloth's grain; empty where that does not matter.</param>
/// <param name="Note">Interfacing, mirroring and the like; empty for nothing.</param>
/// <param name="File">Which cut file holds it; empty where it is cut by hand.</param>
/// <param name="Rings">Its line, mm from its middle.</param>
public sealed record CutRow(
    string Name,
    string Cloth,
    string Colour,
    int Count,
    double Width,
    double Height,
    string Size,
    string Grain,
    string Note,
    string File,
    ImmutableArray<ImmutableArray<Point>> Rings
);

/// <summary>One time in the hoop.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Steps">Its steps.</param>
public sealed record BookletChapter(string Title, ImmutableArray<BookletStep> Steps);

/// <summary>A step as it stands in the booklet and on the card.</summary>
/// <param name="Key">The first step of the run sheet that it tells.</param>
/// <param name="Number">"7", or "7 to 9" where several ask for the same.</param>
/// <param name="IsHands">True where hands work, false where the machine sews.</param>
/// <param name="Sentence">What is done.</param>
/// <param name="Warning">What must not go wrong; null for nothing.</param>
/// <param name="Check">What to check before pressing start; null for nothing.</param>
/// <param name="Note">The user's own line, word for word; null for none.</param>
/// <param name="Small">Stitches and minutes.</param>
/// <param name="Moment">What is drawn.</param>
public sealed record BookletStep(
    StepKey Key,
    string Number,
    bool IsHands,
    string Sentence,
    string? Warning,
    string? Check,
    string? Note,
    string Small,
    Moment Moment
)
{
    /// <summary>The user's own photo beside it: its asset's hash; null for none.</summary>
    public string? Photo { get; init; }

    /// <summary>The block as the machine counts; 0 for hands.</summary>
    public int Block { get; init; }

    /// <summary>The thread's name; empty for hands.</summary>
    public string Thread { get; init; } = "";

    /// <summary>#rrggbb; empty for hands.</summary>
    public string Colour { get; init; } = "";

    /// <summary>Needle points of it.</summary>
    public int StitchCount { get; init; }

    /// <summary>True where the machine stops after it.</summary>
    public bool StopAfter { get; init; }
}
