using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Makes the run sheet: hoop up, then piece by piece from the bottom of the stack, each in its method's order.</summary>
/// <remarks>One by one from the bottom keeps the rules of two lists at once: a piece's steps keep their method's order,
/// and a piece is laid only after whatever it covers is finished.</remarks>
public static class Planner
{
    /// <param name="project">The document.</param>
    /// <param name="work">The stages of each element, by element id.</param>
    public static RunSheet Plan(Project project, IReadOnlyDictionary<string, ElementAtWork> work)
    {
        var steps = ImmutableArray.CreateBuilder<RunStep>();
        var hooping = project.Hooping;
        steps.Add(Hand(project, hooping.Id, hooping.Name, HoopUp(project)));
        foreach (var element in project.Elements)
        {
            var at = work[element.Id];
            foreach (var piece in at.Pieces)
            {
                steps.AddRange(Steps(project, piece));
            }
            if (at.Line is { } line)
            {
                steps.Add(new StitchStep(line.Key, element.Id, element.Name, line));
            }
        }
        if (steps.Count > 1)
        {
            steps.Add(Hand(project, hooping.Id, hooping.Name, Finish(project)));
        }
        return new RunSheet(steps.ToImmutable());
    }

    private static IEnumerable<RunStep> Steps(Project project, KeyedPiece piece)
    {
        var work = piece.Work;
        var (part, element) = (work.Part, work.Part.Element);
        foreach (var act in AppliqueMethods.Of(element.Method).Acts(work))
        {
            if (act is StageAct stage && !element.Stages.IsOff(stage.Role))
            {
                if (
                    stage.Role == StageRole.Cover
                    && work.Visible is { WholeRings.IsEmpty: true, Stretches.IsEmpty: true }
                )
                {
                    continue;
                }
                var key = stage.Role == StageRole.Cover ? piece.EdgeKey : piece.LaidKey;
                var resolved = StageNumbers.Resolve(project, work, stage.Role, key);
                yield return new StitchStep(resolved.Key, element.Id, part.Name, resolved);
            }
            else if (act is HandAct hand)
            {
                yield return Hand(project, element.Id, part.Name, hand.Work, part.Ordinal);
            }
        }
    }

    private static HandStep Hand(Project project, string ownerId, string ownerName, HandWork work, int ordinal = 0)
    {
        var key = new StepKey(ownerId, work.Name, ordinal);
        return new HandStep(key, ownerId, ownerName, work, project.RunSheet.Of(key)?.Note);
    }

    private static HandWork HoopUp(Project project)
    {
        var hoop = project.Hooping.Hoop;
        var ground = project.FindCloth(project.Hooping.GroundClothId)!;
        var stabiliser = project.FindCloth(project.Hooping.StabiliserClothId)!;
        var field = Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Grown(HoopMargin);
        ImmutableArray<Region> area =
        [
            new Region(
                Ring.Of([
                    new(field.MinX, field.MinY),
                    new(field.MaxX, field.MinY),
                    new(field.MaxX, field.MaxY),
                    new(field.MinX, field.MaxY),
                ]),
                []
            ),
        ];
        return new HandWork(
            HandStepKind.HoopUp,
            "hoop-up",
            $"Hoop {ground.Name} over {stabiliser.Name} in the {hoop.Name} mm hoop, flat and drum-tight; both must reach past "
                + "the hoop all round.",
            null,
            HoopOff: true,
            [
                new LayerLaid("stabiliser", "Stabiliser", stabiliser, FaceUp: true, area),
                new LayerLaid("ground", "Ground", ground, FaceUp: true, area),
            ]
        );
    }

    private static HandWork Finish(Project project)
    {
        var stabiliser = project.FindCloth(project.Hooping.StabiliserClothId)!;
        return new HandWork(
            HandStepKind.Finish,
            "finish",
            $"Take the work out of the hoop, trim the thread ends, and remove what {stabiliser.Name} allows.",
            null,
            HoopOff: true,
            []
        );
    }

    /// <summary>Cloth and stabiliser reach this far past the sewing field, mm: under the hoop's frame and a hand's width.</summary>
    private const double HoopMargin = 25;
}
