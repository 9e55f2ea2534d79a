using System.Collections.Immutable;

namespace Ullet.Server.Scenes;

/// <summary>A map over the wall.</summary>
/// <param name="Cell">Side of a cell, mm.</param>
/// <param name="X">Left edge, mm.</param>
/// <param name="Y">Upper edge, mm.</param>
/// <param name="Columns">How many columns.</param>
/// <param name="Levels">A level for each cell, row by row, as base64 bytes; 0 for nothing to show.</param>
/// <param name="Legend">What each level from 1 on means, and how much of the map has it.</param>
public sealed record MapDto(
    double Cell,
    double X,
    double Y,
    int Columns,
    string Levels,
    ImmutableArray<LegendDto> Legend
);

/// <param name="Name">What it means.</param>
/// <param name="Area">mm² with this level.</param>
public sealed record LegendDto(string Name, double Area);
