using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>An element as screens draw and change it: a form, and what is made of it.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">The user's name for it.</param>
/// <param name="Box">Place, size, turn.</param>
/// <param name="Form">Where its outline comes from.</param>
/// <param name="Making">What is made of it.</param>
/// <param name="GroupId">Its group, or null.</param>
/// <param name="IsLocked">Not to be moved, resized or deleted.</param>
/// <param name="IsHidden">Not drawn.</param>
/// <param name="StaysCentred">Kept in the field's centre.</param>
/// <param name="IsDrawn">True when it has nodes that can be edited.</param>
/// <param name="FollowsLines">True for what goes along lines as they were drawn, false for what takes the area in them.</param>
/// <param name="IsPatternPart">True for a part of the project's pattern.</param>
/// <param name="OutlinePath">The outline with holes, or the line.</param>
/// <param name="Outline">The bare outline's box.</param>
/// <param name="Stitched">The box of all its needle points, cover included; null without stitches.</param>
/// <param name="Operations">Its operations in order.</param>
/// <param name="Leftovers">Crumbs and thin places of what they leave.</param>
/// <param name="NeededBy">The ids of the elements that are made with it.</param>
/// <param name="Makings">What may be made of it, by the kinds' words; none for most parts of a pattern.</param>
/// <param name="IsSketchPart">True for a part of a small drawing of our own.</param>
/// <param name="IsAskew">True where it can't be stretched along one of the wall's axes: with others it only grows evenly.</param>
/// <param name="Traits">What it has in common with others, by the traits' words.</param>
/// <param name="SketchWay">The way in which a body of one is made; null for anything else.</param>
public sealed record ElementDto(
    string Id,
    string Name,
    ElementBox Box,
    FormDto Form,
    MakingDto Making,
    string? GroupId,
    bool IsLocked,
    bool IsHidden,
    bool StaysCentred,
    bool IsDrawn,
    bool FollowsLines,
    bool IsPatternPart,
    string OutlinePath,
    SizeDto Outline,
    SizeDto? Stitched,
    ImmutableArray<OperationDto> Operations,
    ImmutableArray<LeftoverDto> Leftovers,
    ImmutableArray<string> NeededBy,
    ImmutableArray<string> Makings,
    bool IsSketchPart,
    SketchWay? SketchWay,
    bool IsAskew,
    IReadOnlyDictionary<string, TraitValue> Traits
);

/// <summary>A part of an element and the cloth that it is made of.</summary>
public sealed record ClothPathDto(string ClothId, string Path);
