using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>How an operation stands.</summary>
public enum OperationStanding
{
    Done,
    Idle,
    Empty,
    TooMany,
    Muted,
}

/// <summary>An operation of an element.</summary>
/// <param name="Operation">Its numbers and sources.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Standing">How it went.</param>
/// <param name="Crumbs">How many parts it leaves that are too small.</param>
/// <param name="Thin">How many thin bridges and ends it leaves.</param>
/// <param name="Note">What its numbers are measured between, or why it does nothing; null when there is nothing to say.</param>
public sealed record OperationDto(
    Operation Operation,
    string Name,
    OperationStanding Standing,
    int Crumbs,
    int Thin,
    string? Note
);

/// <summary>A crumb or a thin place.</summary>
/// <param name="Kind">What is wrong.</param>
/// <param name="X">A place inside it, mm.</param>
/// <param name="Y">A place inside it, mm.</param>
/// <param name="Width">Its width, mm.</param>
/// <param name="Area">Its area, mm².</param>
/// <param name="Path">Its edge.</param>
/// <param name="Removal">The operation that takes it away.</param>
/// <param name="Widening">The operation that widens it; null where there is nothing to bridge.</param>
public sealed record LeftoverDto(
    LeftoverKind Kind,
    double X,
    double Y,
    double Width,
    double Area,
    string Path,
    Operation Removal,
    Operation? Widening
);
