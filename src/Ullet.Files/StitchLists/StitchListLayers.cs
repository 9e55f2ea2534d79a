using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Files.StitchLists;

/// <summary>The statements of a stitch list that change layers.</summary>
internal sealed class StitchListLayers(StitchListLines lines)
{
    private static readonly IReadOnlyDictionary<bool, string> Faces = new Dictionary<bool, string>
    {
        [true] = "up",
        [false] = "down",
    };

    /// <summary>The next statement when it changes layers; null when it does not.</summary>
    internal LayerChange? Change() =>
        lines.NextIs("lay") ? Laid(lines.Header("lay"))
        : lines.NextIs("open") ? new LayerOpened(LayerOf(lines.Header("open")), Area())
        : lines.NextIs("cut-back") ? new LayerTrimmed(LayerOf(lines.Header("cut-back")), Area())
        : lines.NextIs("fold") ? Folded(lines.Header("fold"))
        : lines.NextIs("part") ? Parted(lines.Header("part"))
        : lines.NextIs("cut-out") ? CutOut(lines.Header("cut-out"))
        : lines.NextIs("remove") ? new LayerRemoved(LayerOf(lines.Header("remove")))
        : null;

    private static LayerParted Parted(StitchListLine line)
    {
        var layer = line.Word("the layer");
        line.Expect("from");
        var from = line.Place();
        line.Expect("to");
        var to = line.Place();
        line.End();
        return new LayerParted(layer, from, to);
    }

    private WorkCutOut CutOut(StitchListLine line)
    {
        line.End();
        return new WorkCutOut(Area());
    }

    private LayerFolded Folded(StitchListLine line)
    {
        var layer = line.Word("the layer");
        line.Expect("face");
        var faceUp = line.OneOf(Faces, "face");
        line.End();
        return new LayerFolded(layer, faceUp, Area());
    }

    private LayerLaid Laid(StitchListLine line)
    {
        var layer = line.Word("the layer");
        var name = line.Word("the layer's name");
        line.Expect("cloth");
        var cloth = new Cloth
        {
            Id = line.Word("the cloth"),
            Name = line.Word("the cloth's name"),
            Kind = line.OneOf(StitchListFormat.ClothKinds, "kind of cloth"),
            Texture = line.OneOf(StitchListFormat.Textures, "texture"),
            Colour = line.Colour("a colour"),
            PatternColour = line.ColourOrNone("the pattern's colour"),
        };
        line.Expect("face");
        var faceUp = line.OneOf(Faces, "face");
        var isBeneath = line.Takes("beneath");
        var role = line.Takes("role") ? line.OneOf(StitchListFormat.Roles, "role of a layer") : LayerRole.Inner;
        Point? slider = line.Takes("slider") ? line.Place() : null;
        line.End();
        return new LayerLaid(layer, name, cloth, faceUp, Area())
        {
            IsBeneath = isBeneath,
            Role = role,
            Slider = slider,
        };
    }

    private static string LayerOf(StitchListLine line)
    {
        var layer = line.Word("the layer");
        line.End();
        return layer;
    }

    private ImmutableArray<Region> Area()
    {
        var regions = ImmutableArray.CreateBuilder<Region>();
        while (lines.NextIs("area"))
        {
            var shell = lines.Header("area").Ring();
            var holes = ImmutableArray.CreateBuilder<Ring>();
            while (lines.NextIs("hole"))
            {
                holes.Add(lines.Header("hole").Ring());
            }
            regions.Add(new Region(shell, holes.ToImmutable()));
        }
        return regions.ToImmutable();
    }
}
