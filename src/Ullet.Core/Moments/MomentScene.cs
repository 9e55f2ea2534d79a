using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Moments;

/// <summary>What is known of a hooping before a moment of it is put together.</summary>
internal sealed partial class MomentScene
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
    private readonly ImmutableArray<SeatPart> _seats;

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
        _seats =
        [
            .. output.Seats.Select(seat => new SeatPart(
                seat.Number,
                new Point(seat.Box.X, seat.Box.Y - (seat.Box.Height / 2)),
                seat.Box.Width
            )),
        ];
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
        var focus = FocusOf(parts);
        if (!sight.IsOut)
        {
            parts.AddRange(_seats);
        }
        return new Moment(
            _program.Steps[step].Key,
            view,
            _field,
            focus,
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

    private Box Reach(HoopSight sight) => sight.Clip.IsEmpty ? _field : Box.Of(sight.Clip);

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

    /// <summary>What is new, with what it is held against; empty where nothing is.</summary>
    private static Box FocusOf(IEnumerable<MomentPart> parts)
    {
        var box = Box.Empty;
        foreach (var part in parts.Where(part => part.IsNew))
        {
            box = part switch
            {
                LayerPart layer => box.Union(Box.Of(layer.Layer.Area)),
                ThreadPart thread => box.Union(BoxOf(thread.Lines)),
                AlignedPart aligned => box.Union(BoxOf(aligned.Lines)),
                EdgePart edge => box.Union(BoxOf(edge.Lines)),
                RolledPart rolled => box.Including(rolled.From).Including(rolled.To),
                FoldPart fold => box.Union(Box.Of(fold.Before)).Including(fold.End),
                TapePart tape => box.Union(Box.Of(tape.Strip)),
                ZipPart zip => box.Union(BoxOf(zip.Teeth)).Union(Box.Of(zip.Slider)),
                PullPart pull => box.Including(pull.From).Including(pull.To),
                ScissorsPart cut => box.Union(BoxOf(cut.Lines)),
                TakenOutPart taken => box.Union(Box.Of(taken.Was)),
                GapPart gap => box.Including(gap.From).Including(gap.To),
                WayPart way => box.Union(Box.Of(way.Way)),
                NumberPart number => box.Including(number.At),
                SeatPart seat => box.Including(seat.At),
                _ => throw new ArgumentException($"No box is known of {part.GetType().Name}.", nameof(parts)),
            };
        }
        return box;
    }

    private static Box BoxOf(ImmutableArray<ImmutableArray<Point>> lines) => Box.Of(lines.SelectMany(line => line));
}
