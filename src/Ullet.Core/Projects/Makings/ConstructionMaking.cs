namespace Ullet.Core.Projects;

/// <summary>Neither sewn nor cut: it only serves other elements' operations.</summary>
public sealed record ConstructionMaking : Making
{
    /// <summary>True to serve with its lines as they were drawn, false with the area that they enclose.</summary>
    public bool AlongLines { get; init; }

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool FollowsLines => AlongLines;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsInParts => !AlongLines;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSet => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSewn => false;
}
