namespace Ullet.Core.Edits;

/// <summary>The drawings that a person put on the shelf.</summary>
public interface IOwnSketches
{
    /// <summary>A drawing by its name for ever; null where there is none.</summary>
    OwnSketch? Find(string id);
}

/// <summary>A shelf without any.</summary>
public sealed class NoOwnSketches : IOwnSketches
{
    public OwnSketch? Find(string id) => null;
}
