using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>What an act is for, in the order in which all makings have them.</summary>
public enum ActPhase
{
    Placement,
    Lay,
    TackDown,
    Trim,
    Cover,
}

/// <summary>One thing to do: the machine sews a stage, or hands work.</summary>
/// <param name="Phase">What it is for.</param>
public abstract record MakingAct(ActPhase Phase);

public sealed record SewingAct(ActPhase Phase, Stage Stage) : MakingAct(Phase);

public sealed record HandWorkAct(ActPhase Phase, HandWork Work) : MakingAct(Phase);

/// <summary>What is sewn as one: a piece of cloth, or lines without cloth.</summary>
/// <param name="Piece">The piece of cloth; null for lines.</param>
/// <param name="Name">What a person calls it.</param>
/// <param name="Ordinal">Its number in its element.</param>
/// <param name="Outline">What it takes on the wall, mm.</param>
/// <param name="Acts">What is done, in order.</param>
public sealed record SewnThing(
    KeyedPiece? Piece,
    string Name,
    int Ordinal,
    Outline Outline,
    ImmutableArray<MakingAct> Acts
)
{
    /// <summary>What it holds, where it is sewn only to hold and comes out again; null for what stays.</summary>
    public BastingMaking? Basting { get; init; }
}

/// <summary>Work in a hooping that a making asks for beside the project's own: marking a cloth that is hooped alone.</summary>
/// <param name="Cloth">The cloth that is hooped.</param>
/// <param name="Name">What a person calls the piece that is marked.</param>
/// <param name="Ordinal">Its number in its element.</param>
/// <param name="Stage">The line that marks it.</param>
/// <param name="After">What hands do once all is sewn, or null.</param>
public sealed record MarkedPiece(Cloth Cloth, string Name, int Ordinal, Stage Stage, HandWork? After);

/// <summary>What a making is given to work with.</summary>
/// <param name="Project">The document.</param>
/// <param name="Element">The element that is made.</param>
/// <param name="Outline">Its outline with its operations, mm.</param>
/// <param name="OutlineKey">Stands for the outline in keys.</param>
/// <param name="Pieces">Its pieces of cloth as the stack leaves them; none unless it is made of cloth.</param>
public sealed record MakingInput(
    Project Project,
    Element Element,
    Outline Outline,
    ContentHash OutlineKey,
    ImmutableArray<KeyedPiece> Pieces
)
{
    /// <summary>The letters of words; none of anything else.</summary>
    public ImmutableArray<PartOutline> Letters { get; init; } = [];

    /// <summary>What is laid, or cut, part by part, where the making is one of parts; else none.</summary>
    public ImmutableArray<PartOutline> Parts { get; init; } = [];
}

/// <summary>A part that is cut out and never sewn.</summary>
/// <param name="Ordinal">Its number in the element.</param>
/// <param name="Name">The element's name, for a letter with the letter.</param>
/// <param name="ClothId">What it is cut from.</param>
/// <param name="Outline">The line to cut, mm, where it stands on the wall.</param>
public sealed record CutOut(int Ordinal, string Name, string ClothId, Outline Outline);

/// <summary>What an element is sewn as.</summary>
/// <param name="Pieces">Its pieces of cloth.</param>
/// <param name="Things">What is sewn in the project's first hooping.</param>
/// <param name="Marked">What is marked in hoopings of their own.</param>
/// <param name="CutOuts">What is only cut out.</param>
public sealed record ElementAtWork(
    ImmutableArray<KeyedPiece> Pieces,
    ImmutableArray<SewnThing> Things,
    ImmutableArray<MarkedPiece> Marked,
    ImmutableArray<CutOut> CutOuts
);
