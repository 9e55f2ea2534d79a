namespace Ullet.Core.Projects;

/// <summary>Where one of several orders lies in a hooping.</summary>
/// <param name="Number">The order's number.</param>
/// <param name="Says">What it says, to know it by.</param>
/// <param name="Box">What it takes, mm about the field's centre.</param>
public sealed record Seat(string Number, string Says, ElementBox Box);
