using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Satin with every number resolved: what was set by hand, then what its cloth and its thread ask for.</summary>
public static class SatinChoice
{
    /// <summary>Thread may lie so far from letter to letter without showing much, mm.</summary>
    public const double JoinNearer = 1.0;

    /// <summary>Width of a satin or motif edge, mm.</summary>
    public const double EdgeWidth = 1.6;

    /// <summary>Metallic thread is stiff and breaks where it is crowded: strokes lie so much farther apart, mm.</summary>
    public const double MetallicLooser = 0.1;

    /// <summary>The cloth that an element lies on: the uppermost piece under it, else what is hooped.</summary>
    public static Cloth? Ground(Element element, Project project)
    {
        var under = project
            .Elements.TakeWhile(other => other.Id != element.Id)
            .LastOrDefault(other =>
                other.MadeAs<ClothMaking>() is not null
                && Math.Abs(other.Box.X - element.Box.X) <= other.Box.Width / 2
                && Math.Abs(other.Box.Y - element.Box.Y) <= other.Box.Height / 2
            );
        return project.FindCloth(under?.MadeAs<ClothMaking>()?.ClothId ?? project.Hooping.TopClothId);
    }

    /// <summary>The numbers of satin on a cloth with a thread.</summary>
    public static ColumnNumbers Numbers(SatinMaking making, Cloth? ground, MachineThread? thread)
    {
        var preset = ClothPreset.Of(ground);
        var looser = thread?.Kind == ThreadKind.Metallic ? MetallicLooser : 0;
        return new ColumnNumbers(
            making.Spacing ?? Math.Round(preset.Spacing + looser, 3),
            making.Compensation ?? preset.Compensation
        )
        {
            NeedleLimit = preset.NeedleLimit,
            Underlay = UnderlayChoice.Of(making.Underlay),
        };
    }

    /// <summary>What a kind of thread asks for beside its spacing, in a sentence; empty for nothing.</summary>
    public static string Said(MachineThread? thread) =>
        thread?.Kind == ThreadKind.Metallic
            ? $"{thread.Name} is metallic: strokes lie {LengthText.Mm(MetallicLooser)} farther apart. Sew it slowly, with a 90/14 needle for metallic thread."
            : "";

    /// <summary>The stage of an edge along what is sewn in satin.</summary>
    internal static Stage Edge(SatinEdge edge, Stage satin, Project project) =>
        satin with
        {
            Key = satin.Key with { Stage = StageTable.Of(StageId.SatinEdge).Key },
            Id = StageId.SatinEdge,
            ThreadId = project.FindThread(edge.ThreadId)?.Id ?? satin.ThreadId,
            Words = StageTable.Of(StageId.SatinEdge).Words,
            Plan = edge.Stitch switch
            {
                EdgeStitch.Run => new RunPlan(StitchDefaults.FineRunLength, 0, 1),
                EdgeStitch.Bean => new RunPlan(StitchDefaults.FineRunLength, 0, 1) { IsBean = true },
                EdgeStitch.Satin => Cover(CoverKind.Satin),
                EdgeStitch.Motif => Cover(CoverKind.Motif),
            },
        };

    private static CoverPlan Cover(CoverKind kind) =>
        new(
            new CoverNumbers(kind, new SatinNumbers(EdgeWidth, StitchDefaults.CoverSpacing, 0.5, 0))
            {
                MotifId = kind == CoverKind.Motif ? StitchUnit.Of(null).Id : null,
                UnitLength = kind == CoverKind.Motif ? StitchUnit.Of(null).Length : StitchDefaults.RunLength,
            },
            null
        );
}
