using Ullet.Core.Findings;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Turns a finding's mend into the edit that carries it out.</summary>
public static class MendEdits
{
    /// <summary>The edit that a person chose among the mends of findings; null where there is none such.</summary>
    /// <param name="findings">All that was found.</param>
    /// <param name="code">The check.</param>
    /// <param name="elementId">The element; of no meaning for all.</param>
    /// <param name="number">Which of the finding's mends, from 0.</param>
    /// <param name="all">True for all findings of the check that have a mend of that kind, as one step.</param>
    /// <param name="project">The document.</param>
    public static Edit? Chosen(
        IEnumerable<Finding> findings,
        string code,
        string? elementId,
        int number,
        bool all,
        Project project
    )
    {
        var ofCheck = findings.Where(finding => finding.Code == code).ToList();
        var first = ofCheck.Find(finding => all || finding.ElementId == elementId)?.Mends.ElementAtOrDefault(number);
        if (first is null || !all)
        {
            return first is null ? null : Of(first, project);
        }
        var mends = ofCheck
            .Select(finding => finding.Mends.FirstOrDefault(mend => mend.GetType() == first.GetType()))
            .OfType<Mend>()
            .Distinct()
            .ToList();
        return mends.Count == 1
            ? Of(first, project)
            : new EditSeries($"{first.Label}, {mends.Count} times", [.. mends.Select(mend => Of(mend, project))]);
    }

    public static Edit Of(Mend mend, Project project) =>
        mend switch
        {
            UseHoopMend hoop => SetHooping.To(hoop.Hoop),
            TurnHoopMend turned => SetHooping.To(turned.Hoop),
            FitFieldMend => new FitField(),
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
            ExchangeThreadMend thread => new ExchangeThread { FromId = thread.FromId, ToId = thread.ToId },
            MirrorFilmMend film => new MirrorCloth { ClothId = film.ClothId, Lies = Lying.FilmDown },
            PutRightMend => new PutRight(),
            ClearCrumbsMend crumbs => new AddOperation
            {
                ElementId = crumbs.ElementId,
                Operation = crumbs.Width is { } width
                    ? new ClearCrumbs { LeastArea = 0, LeastWidth = width }
                    : new ClearCrumbs(),
            },
            CloseHolesMend holes => new AddOperation
            {
                ElementId = holes.ElementId,
                Operation = new CloseHoles { Width = holes.Width },
            },
            WidenMend widen => new AddOperation
            {
                ElementId = widen.ElementId,
                Operation = new BridgeNecks { Width = widen.Width, EndsToo = true },
            },
            NarrowerCoverMend tight => new EditSeries(
                mend.Label,
                [
                    .. tight.Places.Select(place => new SetCoverStretch
                    {
                        ElementId = tight.ElementId,
                        X = place.At.X,
                        Y = place.At.Y,
                        Width = place.Width,
                        InsideShare = place.InsideShare,
                    }),
                ]
            ),
            RawEdgeMend raw => new EditSeries(
                mend.Label,
                [
                    .. raw.Places.Select(place => new TouchEdge
                    {
                        ElementId = raw.ElementId,
                        X = place.At.X,
                        Y = place.At.Y,
                        IsCovered = true,
                    }),
                ]
            ),
            ShowMend show => new HideElements { ElementIds = [show.ElementId], Hidden = false },
            DeleteMend delete => new RemoveElements { ElementIds = [delete.ElementId] },
            LayBetweenMend lay => new LayBetween { ElementId = lay.ElementId, Kind = lay.Kind },
            TakeSatinCoverMend satin => new SetCoverKind { ElementId = satin.ElementId, Kind = CoverKind.Satin },
            FuseMend fuse when AppliqueElement.Of(project.Find(fuse.ElementId)) is { } fused => new SetMethod
            {
                ElementId = fuse.ElementId,
                Method = fused.Method,
                Holding = Holding.Fused,
            },
            TallerLettersMend taller => new SetLettering { ElementId = taller.ElementId, CapHeight = taller.CapHeight },
            CutBeforehandMend cut => new SetMethod { ElementId = cut.ElementId, Method = Method.CutBeforehand },
            MakeMend made => new SetMaking { ElementId = made.ElementId, Kind = made.Kind },
            OtherClothMend cloth => new SetPieceCloth { ElementId = cloth.ElementId, ClothId = cloth.ClothId },
            OnePieceMend one => new SetLettering { ElementId = one.ElementId, Use = WordsUse.OnePiece },
            SpaceLettersMend space => new SetLettering { ElementId = space.ElementId, Spacing = space.Spacing },
            BridgeNecksMend necks => new AddOperation
            {
                ElementId = necks.ElementId,
                Operation = new BridgeNecks { Width = necks.Width },
            },
            CutTailsMend tails => new AddOperation { ElementId = tails.ElementId, Operation = new CutNecks() },
            _ => throw new ArgumentException($"No edit for {mend.GetType().Name}.", nameof(mend)),
        };
}
