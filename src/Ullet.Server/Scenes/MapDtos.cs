using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Maps;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Server.Scenes;

/// <summary>Maps as screens draw them.</summary>
internal static class MapDtos
{
    internal static MapDto Density(Evaluated evaluated)
    {
        var project = evaluated.Project;
        var cloths = evaluated
            .Pieces.Select(piece => piece.Cloth)
            .Append(project.FindCloth(project.Hooping.TopClothId)!);
        return Of(StitchMaps.Density(evaluated.Program, cloths.Min(cloth => ClothPreset.Of(cloth).NeedleLimit)));
    }

    internal static MapDto Coverage(Evaluated evaluated) =>
        Of(
            StitchMaps.Coverage([
                .. evaluated
                    .RunSheet.Steps.OfType<StitchStep>()
                    .Where(step => step.Stage.Id is StageId.Cover or StageId.Satin or StageId.Fill)
                    .Select(step => (step.Stage, evaluated.Stitches[step.Key])),
            ])
        );

    private static MapDto Of(StitchMap map)
    {
        var counts = new int[map.Names.Length + 1];
        foreach (var level in map.Levels)
        {
            counts[level]++;
        }
        return new MapDto(
            map.Cell,
            map.X,
            map.Y,
            map.Columns,
            Convert.ToBase64String(map.Levels.AsSpan()),
            [.. map.Names.Select((name, i) => new LegendDto(name, counts[i + 1] * map.Cell * map.Cell))]
        );
    }
}
