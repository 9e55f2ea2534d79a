using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Moments;

/// <summary>The moments of a hooping: one for each step of its program, read off layers, seams and hands.</summary>
public static class HoopMoments
{
    /// <param name="output">The hooping.</param>
    /// <param name="turning">Whether and through what the work is turned; null where it is not.</param>
    public static ImmutableArray<Moment> Of(HoopingOutput output, TurningReport? turning = null)
    {
        var scene = new MomentScene(output, turning);
        return [.. Enumerable.Range(0, output.Program.Steps.Length).Select(scene.At)];
    }

    /// <summary>The moment of one step, with those after it that ask hands for the same; null where there is none of that key.</summary>
    /// <param name="output">The hooping.</param>
    /// <param name="turning">Whether and through what the work is turned.</param>
    /// <param name="key">The step.</param>
    public static Moment? At(HoopingOutput output, TurningReport? turning, StepKey key)
    {
        var at = output.Program.Steps.Select(step => step.Key).ToList().IndexOf(key);
        if (at < 0)
        {
            return null;
        }
        var scene = new MomentScene(output, turning);
        var count = EqualSteps.Of(output.Program).FirstOrDefault(group => group.First == at)?.Count ?? 1;
        return Together([.. Enumerable.Range(at, count).Select(scene.At)]);
    }

    /// <summary>Equal steps in one drawing: all that they lay is new.</summary>
    internal static Moment Together(IReadOnlyList<Moment> moments)
    {
        if (moments.Count == 1)
        {
            return moments[0];
        }
        var last = moments[^1];
        var changed = moments
            .SelectMany(moment => moment.Parts.OfType<LayerPart>())
            .Where(part => part.IsNew)
            .Select(part => part.Layer.Id)
            .ToHashSet(StringComparer.Ordinal);
        var parts = last
            .Parts.Select(part =>
                part is LayerPart layer && changed.Contains(layer.Layer.Id) ? layer with { IsNew = true } : part
            )
            .Concat(moments.SkipLast(1).SelectMany(moment => moment.Parts.Where(IsAbout)));
        return last with
        {
            Parts = [.. parts],
            Focus = moments.Aggregate(Box.Empty, (box, moment) => box.Union(moment.Focus)),
        };
    }

    private static bool IsAbout(MomentPart part) => part.IsNew && part is not (LayerPart or ThreadPart or ZipPart);
}

/// <summary>What is known of a hooping before a moment of it is put together.</summary>
internal sealed class MomentScene
{
    private readonly StitchProgram _program;
    private readonly HoopSights _sights;
    private readonly ImmutableArray<ImmutableArray<PresentLayer>> _layers;
    private readonly Dictionary<StepKey, HandWork> _works;
    private readonly ImmutableArray<ImmutableArray<ImmutableArray<Point>>> _threads;
    private readonly ImmutableArray<ImmutableArray<Point>>[] _runs;
    private readonly ILookup<int, PicturePlace> _numbers;
    private readonly HashSet<string> _hooped;
    private readonly TurningReport? _turning;
    private readonly Box _field;

    internal MomentScene(HoopingOutput output, TurningReport? turning)
    {
        (_program, _turning) = (output.Program, turning);
        _sights = HoopSights.Of(_program);
        _layers = LayerStates.After(_program.Steps.Select(step => step is ProgramHands hands ? hands.Changes : []));
        _works = output
            .RunSheet.Steps.OfType<HandStep>()
            .GroupBy(step => step.Key)
            .ToDictionary(group => group.Key, group => group.First().Work);
        _threads = [.. _program.Steps.Select(step => step is ProgramStitches sewn ? ThreadLines.Of(sewn) : [])];
        _runs =
        [
            .. _program.Steps.Select(step =>
                step is ProgramStitches sewn ? ThreadLines.Runs(sewn).ToImmutableArray() : []
            ),
        ];
        _numbers = EqualSteps
            .Of(_program)
            .SelectMany(group => group.Places.Select((place, i) => (Step: group.First + i, place)))
            .ToLookup(each => each.Step, each => each.place);
        _field = Box.Centred(_program.FieldWidth, _program.FieldHeight);
        _hooped = _program
            .Steps.OfType<ProgramHands>()
            .Where(hands => hands.Kind == HandKind.HoopUp)
            .SelectMany(hands => hands.Changes.OfType<LayerLaid>())
            .Select(laid => laid.LayerId)
            .ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>The moment of a step.</summary>
    internal Moment At(int step)
    {
        Budget.Spend();
        // Work is turned as it lay before; the next step shows what became of it.
        var isTurn = _program.Steps[step] is ProgramHands { Kind: HandKind.Turn };
        var sight = _sights.Steps[isTurn && step > 0 ? step - 1 : step];
        var parts = ImmutableArray.CreateBuilder<MomentPart>();
        var changed = ChangedBy(step);
        foreach (var thing in sight.Things)
        {
            if (thing >= 0)
            {
                Layer(parts, _sights.Shapes[thing].Layer, sight, changed);
            }
            else
            {
                Thread(parts, -1 - thing, isNew: -1 - thing == step);
            }
        }
        if (_program.Steps[step] is ProgramHands hands)
        {
            Hands(parts, hands, step, sight);
        }
        var view = (sight.IsOut, sight.IsBack) switch
        {
            (false, false) => MomentView.Front,
            (false, true) => MomentView.Back,
            (true, false) => MomentView.Out,
            (true, true) => MomentView.OutInside,
        };
        return new Moment(
            _program.Steps[step].Key,
            view,
            _field,
            FocusOf(parts),
            parts.ToImmutable(),
            // Once it is turned the layers lie another way round than in the hoop.
            IsTurned(step) ? [] : MomentStack.Of(_layers[step], changed, sight.IsBack, Reach(sight))
        )
        {
            Section = isTurn && IsFirstTurn(step) ? _turning?.Section : null,
        };
    }

    /// <summary>Which face of a layer is seen from the front or the back.</summary>
    internal static SeenFace FaceOf(PresentLayer layer, bool isBack) =>
        layer.Cloth.IsSurface() || layer.Cloth.Kind == ClothKind.Zip
            ? layer.FaceUp != isBack
                ? SeenFace.Right
                : SeenFace.Wrong
            : SeenFace.Either;

    private HashSet<string> ChangedBy(int step) =>
        _program.Steps[step] is ProgramHands hands
            ? hands
                .Changes.Select(change => change.LayerId)
                .Concat(
                    hands.Changes.IsEmpty && _works.TryGetValue(hands.Key, out var work)
                        ? work.Tape.Select(taped => taped.LayerId)
                        : []
                )
                .ToHashSet(StringComparer.Ordinal)
            : [];

    private bool IsTurned(int step) =>
        _program.Steps.Take(step + 1).OfType<ProgramHands>().Any(hands => hands.Kind == HandKind.Turn);

    private bool IsFirstTurn(int step) =>
        !_program.Steps.Take(step).OfType<ProgramHands>().Any(hands => hands.Kind == HandKind.Turn);

    private Box Reach(HoopSight sight) =>
        sight.Clip.IsEmpty ? _field : Box.Of(sight.Clip.SelectMany(region => region.Shell.Points));

    private void Layer(
        ImmutableArray<MomentPart>.Builder parts,
        PresentLayer layer,
        HoopSight sight,
        HashSet<string> changed
    )
    {
        var shown = sight.Clip.IsEmpty
            ? layer
            : layer with
            {
                Area = RegionOverlay.Intersection(layer.Area, sight.Clip),
            };
        if (shown.Area.IsEmpty)
        {
            return;
        }
        var (isNew, isHooped) = (changed.Contains(layer.Id), _hooped.Contains(layer.Id));
        ImmutableArray<RolledPart> rolls = [];
        if (!isHooped && !sight.IsOut && layer.Cloth.Kind != ClothKind.Zip)
        {
            // What would reach over the frame is rolled up inside it, and stays so until the work is out.
            rolls = isNew ? [.. Rolls.Of(shown, _field)] : [];
            shown = shown with { Area = RegionOverlay.Intersection(shown.Area, _field.Area()) };
        }
        parts.Add(new LayerPart(shown, FaceOf(layer, sight.IsBack), isNew, isHooped));
        parts.AddRange(rolls);
        if (ZipLook.Of(layer) is { } zip)
        {
            parts.Add(new ZipPart(layer.Id, zip.Teeth, zip.Slit, zip.Slider, isNew));
        }
    }

    private void Thread(ImmutableArray<MomentPart>.Builder parts, int step, bool isNew)
    {
        if (_program.Steps[step] is ProgramStitches sewn && !_threads[step].IsEmpty)
        {
            parts.Add(new ThreadPart(sewn.Key, _threads[step], _program.Threads[sewn.Thread - 1].Colour, isNew));
        }
    }

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
        else if (IsTurned(step) && hands.Text.Contains("gap", StringComparison.OrdinalIgnoreCase))
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
                        parts.Add(new AlignedPart(key, seen, _program.Steps[sewn[0]].OwnerName));
                    }
                    parts.AddRange(LaidEdges.Along(LaidBy(step), [.. sewn.SelectMany(i => _threads[i])], to.IsPressed));
                }
            }
            else if (_layers[step].FirstOrDefault(layer => layer.Id == to.LayerId) is { } layer)
            {
                parts.Add(
                    new AlignedPart(null, [.. layer.Area.SelectMany(region => region.Rings).Select(Closed)], layer.Name)
                );
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

    /// <summary>What is new, with what it is held against; empty where nothing is.</summary>
    private static Box FocusOf(IEnumerable<MomentPart> parts)
    {
        var box = Box.Empty;
        foreach (var part in parts.Where(part => part.IsNew))
        {
            box = part switch
            {
                LayerPart layer => box.Union(BoxOf(layer.Layer.Area)),
                ThreadPart thread => box.Union(BoxOf(thread.Lines)),
                AlignedPart aligned => box.Union(BoxOf(aligned.Lines)),
                EdgePart edge => box.Union(BoxOf(edge.Lines)),
                RolledPart rolled => box.Including(rolled.From).Including(rolled.To),
                FoldPart fold => box.Union(BoxOf(fold.Before)).Including(fold.End),
                TapePart tape => box.Union(Box.Of(tape.Strip)),
                ZipPart zip => box.Union(BoxOf(zip.Teeth)).Union(BoxOf(zip.Slider)),
                PullPart pull => box.Including(pull.From).Including(pull.To),
                ScissorsPart cut => box.Union(BoxOf(cut.Lines)),
                TakenOutPart taken => box.Union(BoxOf(taken.Was)),
                GapPart gap => box.Including(gap.From).Including(gap.To),
                WayPart way => box.Union(Box.Of(way.Way)),
                NumberPart number => box.Including(number.At),
                _ => throw new ArgumentException($"No box is known of {part.GetType().Name}.", nameof(parts)),
            };
        }
        return box;
    }

    internal static Box BoxOf(ImmutableArray<Region> area) => Box.Of(area.SelectMany(region => region.Shell.Points));

    private static Box BoxOf(ImmutableArray<ImmutableArray<Point>> lines) => Box.Of(lines.SelectMany(line => line));
}
