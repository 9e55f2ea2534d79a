namespace Ullet.Server.Scenes;

/// <summary>Colours that were kept under a name.</summary>
/// <param name="Id">Names them for ever.</param>
/// <param name="Name">The user's name for them.</param>
/// <param name="IsWorn">True when the project is in these colours.</param>
public sealed record ColourwayDto(string Id, string Name, bool IsWorn);
