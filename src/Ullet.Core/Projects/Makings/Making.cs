using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>What is made of an element's form.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ClothMaking), "cloth")]
[JsonDerivedType(typeof(LineMaking), "line")]
[JsonDerivedType(typeof(BastingMaking), "basting")]
[JsonDerivedType(typeof(SatinMaking), "satin")]
[JsonDerivedType(typeof(FilledMaking), "filled")]
[JsonDerivedType(typeof(OpenedMaking), "opened")]
[JsonDerivedType(typeof(CutOnlyMaking), "cutOnly")]
[JsonDerivedType(typeof(ZoneMaking), "zone")]
[JsonDerivedType(typeof(ConstructionMaking), "construction")]
public abstract record Making
{
    /// <summary>True for what goes along lines as they were drawn, false for what takes the area that they enclose.</summary>
    [JsonIgnore]
    public abstract bool FollowsLines { get; }

    /// <summary>True for what is laid and sewn part by part, as letters one by one; false for what takes a form as a whole.</summary>
    [JsonIgnore]
    public abstract bool IsInParts { get; }

    /// <summary>True where a person sets something of it, which is kept when it is made something else.</summary>
    [JsonIgnore]
    public virtual bool IsSet => true;

    /// <summary>True for what is taken out again, and is not seen on finished work.</summary>
    [JsonIgnore]
    public virtual bool IsTakenOut => false;

    /// <summary>True for what a needle sews.</summary>
    [JsonIgnore]
    public abstract bool IsSewn { get; }

    /// <summary>The making when its element's frame gets another middle and size: what is placed in the frame stays where it is on
    /// the wall.</summary>
    /// <param name="moved">From a spot of the old frame to one of the new.</param>
    public virtual Making InFrame(Func<Spot, Spot> moved) => this;
}
