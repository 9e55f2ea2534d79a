using Ullet.Core.Findings;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Turns a finding's mend into the edit that carries it out.</summary>
public static class MendEdits
{
    public static Edit Of(Mend mend, Project project) =>
        mend switch
        {
            UseHoopMend hoop => new SetHooping
            {
                FieldWidth = hoop.Hoop.FieldWidth,
                FieldHeight = hoop.Hoop.FieldHeight,
            },
            MoveMend move => new MoveDesign { X = move.X, Y = move.Y },
            EdgeMatchMend match => new MendEdge
            {
                ElementId = match.ElementId,
                Number = match.Change.Number,
                Value = match.Change.Value,
            },
            LargerMatMend mat => new SetMat
            {
                ClothId = mat.ClothId,
                Width = mat.Mat.Width,
                Height = mat.Mat.Height,
                Margin = mat.Mat.Margin,
            },
            SplitMend split => new AddOperation
            {
                ElementId = split.ElementId,
                Operation = new Split { Angle = split.Across ? 90 : 0 },
            },
            MakeAnewMend anew => new UsePattern { PatternId = anew.PatternId, MakeAnew = true },
            LessCompensationMend less when project.Find(less.ElementId)?.MadeAs<SatinMaking>() is { } satin =>
                new SetSatin { ElementId = less.ElementId, Satin = satin with { Compensation = less.Compensation } },
            CutAsSewnMend cut => new SetDrift
            {
                ElementId = cut.ElementId,
                Drift = AppliqueElement.Of(project.Find(cut.ElementId))?.Making.Drift,
                CutsAsSewn = true,
            },
            MirrorFilmMend film => new MirrorCloth { ClothId = film.ClothId, Lies = Lying.FilmDown },
            PutRightMend => new PutRight(),
            ClearCrumbsMend crumbs => new AddOperation { ElementId = crumbs.ElementId, Operation = new ClearCrumbs() },
            BridgeNecksMend necks => new AddOperation
            {
                ElementId = necks.ElementId,
                Operation = new BridgeNecks { Width = necks.Width },
            },
            CutTailsMend tails => new AddOperation { ElementId = tails.ElementId, Operation = new CutNecks() },
            _ => throw new ArgumentException($"No edit for {mend.GetType().Name}.", nameof(mend)),
        };
}
