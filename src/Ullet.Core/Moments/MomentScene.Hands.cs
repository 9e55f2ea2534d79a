using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Moments;

/// <summary>What hands do at a moment: folds, cuts, lines to lay along, tape, the way out.</summary>
internal sealed partial class MomentScene
{
    private void Hands(ImmutableArray<MomentPart>.Builder parts, ProgramHands hands, int step, HoopSight sight)
    {
        var before = step > 0 ? _layers[step - 1] : [];
        foreach (var change in hands.Changes)
        {
            var was = before.FirstOrDefault(layer => layer.Id == change.LayerId);
            var part = change switch
            {
                LayerLaid => null,
                LayerFolded folded when was is not null => FoldLine.Of(
                    folded.LayerId,
                    Inside(was.Area),
                    Inside(folded.Area)
                ),
                LayerFolded => null,
                LayerTrimmed trimmed => Scissors(
                    trimmed.LayerId,
                    trimmed.Area,
                    was is null ? [] : RegionOverlay.Difference(was.Area, trimmed.Area)
                ),
                LayerOpened opened => Scissors(opened.LayerId, opened.Area, opened.Area),
                WorkCutOut cut => Scissors("", cut.Area, []),
                LayerParted parted when was?.Slider is { } from => new PullPart(from, parted.From),
                LayerParted => null,
                LayerRemoved removed => was is null ? null : (MomentPart)new TakenOutPart(removed.LayerId, was.Area),
                _ => throw new ArgumentException($"No part is known of {change.GetType().Name}.", nameof(hands)),
            };
            if (part is not null)
            {
                parts.Add(part);
            }
        }
        if (_works.TryGetValue(hands.Key, out var work))
        {
            Aligned(parts, work.AlignsTo.IsEmpty ? OwnPlacement(hands, step) : work.AlignsTo, step);
            Tape(parts, work, step);
        }
        if (hands.Kind == HandKind.Turn)
        {
            Turned(parts, step, sight);
        }
        else if (work is { ClosesGap: true })
        {
            AddGap(parts, step, sight);
        }
        parts.AddRange(_numbers[step].Select(place => new NumberPart(place.Number, place.At)));
    }

    /// <summary>What of an area lies within the frame.</summary>
    private ImmutableArray<Region> Inside(ImmutableArray<Region> area) =>
        RegionOverlay.Intersection(area, _field.Area());

    private static ScissorsPart Scissors(string layer, ImmutableArray<Region> line, ImmutableArray<Region> away) =>
        new(layer, [.. line.SelectMany(region => region.Rings).Select(Closed)], away);

    internal static ImmutableArray<Point> Closed(Ring ring) => [.. ring.Points, ring.Points[0]];

    /// <summary>A piece of an appliqué is laid by the placement that was sewn for it.</summary>
    private ImmutableArray<Alignment> OwnPlacement(ProgramHands hands, int step) =>
        hands.Changes.OfType<LayerLaid>().Any()
        && _program
            .Steps.Take(step)
            .OfType<ProgramStitches>()
            .LastOrDefault(sewn =>
                sewn.Key.OwnerId == hands.Key.OwnerId
                && sewn.Key.Ordinal == hands.Key.Ordinal
                && sewn.Key.Stage == StageTable.Of(StageId.Placement).Key
            )
            is { } placement
            ? [new Alignment(placement.Key)]
            : [];

    private void Aligned(ImmutableArray<MomentPart>.Builder parts, ImmutableArray<Alignment> aligned, int step)
    {
        foreach (var to in aligned)
        {
            if (to.Line is { } key)
            {
                var sewn = Enumerable
                    .Range(0, step)
                    .Where(i => _program.Steps[i].Key == key && _program.Steps[i] is ProgramStitches)
                    .ToList();
                if (sewn.Count > 0)
                {
                    var seen = sewn.SelectMany(i => SeenLines.Of(_threads[i], Over(i, step))).ToImmutableArray();
                    if (!seen.IsEmpty)
                    {
                        parts.Add(new AlignedPart(key, seen));
                    }
                    parts.AddRange(LaidEdges.Along(LaidBy(step), [.. sewn.SelectMany(i => _threads[i])], to.IsPressed));
                }
            }
            else if (_layers[step].FirstOrDefault(layer => layer.Id == to.LayerId) is { } layer)
            {
                parts.Add(new AlignedPart(null, [.. layer.Area.SelectMany(region => region.Rings).Select(Closed)]));
            }
        }
    }

    /// <summary>What was laid over a line on its own side of the hoop, from when it was sewn until hands look for it.</summary>
    private ImmutableArray<Region> Over(int sewn, int step)
    {
        var known = sewn > 0 ? _layers[sewn - 1].Select(layer => layer.Id).ToHashSet(StringComparer.Ordinal) : [];
        return step == 0 || _sights.Steps[step].IsBack
            ? []
            :
            [
                .. _layers[step - 1]
                    .Where(layer => !layer.IsBehind && !known.Contains(layer.Id))
                    .SelectMany(layer => layer.Area),
            ];
    }

    private List<PresentLayer> LaidBy(int step)
    {
        var laid = ((ProgramHands)_program.Steps[step])
            .Changes.OfType<LayerLaid>()
            .Select(change => change.LayerId)
            .ToHashSet(StringComparer.Ordinal);
        return [.. _layers[step].Where(layer => laid.Contains(layer.Id) && layer.Cloth.Kind != ClothKind.Zip)];
    }

    /// <summary>The strips that no needle comes near before hands lie on the layer again.</summary>
    private void Tape(ImmutableArray<MomentPart>.Builder parts, HandWork work, int step)
    {
        foreach (var taped in work.Tape)
        {
            if (_layers[step].FirstOrDefault(layer => layer.Id == taped.LayerId) is not { } layer)
            {
                continue;
            }
            var until = Enumerable
                .Range(step + 1, _program.Steps.Length - step - 1)
                .FirstOrDefault(i => Loosens(_program.Steps[i], taped.LayerId), _program.Steps.Length);
            var sewn = Enumerable.Range(step + 1, until - step - 1).SelectMany(i => _runs[i]).ToList();
            parts.AddRange(
                TapeStrips.Of(layer.Area, taped.Place, _field, sewn).Select(strip => new TapePart(layer.Id, strip))
            );
        }
    }

    /// <summary>True for hands that take a layer's tape off: they fold it, trim it, take it out, or take the work out of the hoop.</summary>
    private static bool Loosens(ProgramStep step, string layerId) =>
        step is ProgramHands hands && hands.Changes.Any(change => change.LayerId == layerId || change is WorkCutOut);

    private void Turned(ImmutableArray<MomentPart>.Builder parts, int step, HoopSight sight)
    {
        if (!IsFirstTurn(step))
        {
            ThroughTheZip(parts, step, sight);
            return;
        }
        if (_turning is { Answer: TurningAnswer.Through, Way.IsEmpty: false } through)
        {
            parts.Add(new WayPart(through.Way));
        }
        AddGap(parts, step, sight);
    }

    private void AddGap(ImmutableArray<MomentPart>.Builder parts, int step, HoopSight sight)
    {
        if (SeamGap.Of(_runs.Take(step), Reach(sight)) is var (from, to))
        {
            parts.Add(new GapPart(from, to, true));
        }
    }

    /// <summary>What is turned a second time is pulled out through the zip.</summary>
    private void ThroughTheZip(ImmutableArray<MomentPart>.Builder parts, int step, HoopSight sight)
    {
        if (_layers[step].FirstOrDefault(layer => layer.Parted is not null) is { Parted: var (from, to) })
        {
            var slit = Point.Lerp(from, to, 0.5);
            var inside = new Point(slit.X, Point.Lerp(slit, Reach(sight).Centre, 1.4).Y);
            parts.Add(new WayPart([inside, slit, slit + ((slit - inside).Unit() * 22)]));
        }
    }
}
