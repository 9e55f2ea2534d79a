using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Program;

/// <summary>A layer as it lies from some step on, to be drawn.</summary>
/// <param name="Layer">The layer.</param>
public sealed record SeenShape(PresentLayer Layer);

/// <summary>What is seen of the work once a step is done.</summary>
/// <param name="IsBack">True where hands work on the back of the hoop: it is turned over about its upright middle.</param>
/// <param name="Things">What is drawn, one over the other: a number from 0 is a shape, one below 0 the thread of the step
/// -1 - number.</param>
/// <param name="Clip">Only what lies in it is there, mm; none for all of it.</param>
/// <param name="IsOut">True once the work is out of the hoop.</param>
public sealed record HoopSight(bool IsBack, ImmutableArray<int> Things, ImmutableArray<Region> Clip, bool IsOut);

/// <summary>What is seen of the hoop after every step, read off the layers: what lies on what is drawn over it, and nothing else hides a
/// line.</summary>
/// <param name="Shapes">Layers as they lay, to be drawn by number.</param>
/// <param name="Steps">A sight for each step.</param>
public sealed record HoopSights(ImmutableArray<SeenShape> Shapes, ImmutableArray<HoopSight> Steps)
{
    /// <summary>The sights of a program.</summary>
    public static HoopSights Of(StitchProgram program) => new Looker(program).All();

    private sealed class Looker(StitchProgram program)
    {
        /// <summary>Half of what a seam is widened by to find what it goes round, mm.</summary>
        private const double Round = 0.4;

        private readonly ImmutableArray<SeenShape>.Builder _shapes = ImmutableArray.CreateBuilder<SeenShape>();
        private readonly Dictionary<string, int> _shapeOf = [];

        /// <summary>From the back of the hoop to its front: layer ids, and "top 3" or "under 3" for the thread of step 3.</summary>
        private readonly List<string> _stack = [];
        private readonly ImmutableArray<ImmutableArray<PresentLayer>> _states = LayerStates.After(
            program.Steps.Select(step => step is ProgramHands hands ? hands.Changes : [])
        );
        private ImmutableArray<PresentLayer> _layers = [];
        private ImmutableArray<Region> _clip = [];
        private HoopSight? _turned;

        internal HoopSights All()
        {
            var sights = ImmutableArray.CreateBuilder<HoopSight>();
            for (var i = 0; i < program.Steps.Length; i++)
            {
                Budget.Spend();
                sights.Add(program.Steps[i] is ProgramHands hands ? After(hands, i) : Sewn(i));
            }
            return new HoopSights(_shapes.ToImmutable(), sights.ToImmutable());
        }

        private HoopSight Sewn(int step)
        {
            _stack.Add($"top {step}");
            _stack.Insert(0, $"under {step}");
            return new HoopSight(false, Seen(_stack, isBack: false), _clip, false);
        }

        private HoopSight After(ProgramHands hands, int step)
        {
            var before = _layers;
            _layers = _states[step];
            foreach (var change in hands.Changes)
            {
                Place(change);
            }
            foreach (var layer in _layers)
            {
                if (!_shapeOf.TryGetValue(layer.Id, out var known) || _shapes[known].Layer != layer)
                {
                    _shapeOf[layer.Id] = _shapes.Count;
                    _shapes.Add(new SeenShape(layer));
                }
            }
            TakeOut(hands);
            _turned = hands.Kind == HandKind.Turn ? Turned(step) : _turned;
            if (_turned is not null)
            {
                return _turned;
            }
            var isBack = IsOnBack(hands, before);
            return new HoopSight(isBack, Seen(_stack, isBack), _clip, !_clip.IsEmpty);
        }

        /// <summary>Basting that is taken out is seen no more.</summary>
        private void TakeOut(ProgramHands hands)
        {
            if (hands.Kind != HandKind.Remove || hands.Key.Stage != HandWork.TakeOutBasting)
            {
                return;
            }
            for (var i = 0; i < program.Steps.Length; i++)
            {
                if (program.Steps[i] is ProgramStitches sewn && sewn.Key.OwnerId == hands.Key.OwnerId)
                {
                    _stack.Remove($"top {i}");
                    _stack.Remove($"under {i}");
                }
            }
        }

        private void Place(LayerChange change)
        {
            switch (change)
            {
                case LayerLaid { IsBeneath: true }:
                    _stack.Remove(change.LayerId);
                    _stack.Insert(0, change.LayerId);
                    break;
                case LayerLaid:
                    _stack.Remove(change.LayerId);
                    _stack.Add(change.LayerId);
                    break;
                case LayerFolded:
                    // What is folded over comes to lie on the side that it is folded on.
                    _stack.Remove(change.LayerId);
                    var isBehind = _layers.Any(layer => layer.Id == change.LayerId && layer.IsBehind);
                    _stack.Insert(isBehind ? 0 : _stack.Count, change.LayerId);
                    break;
                case LayerRemoved:
                    _stack.Remove(change.LayerId);
                    break;
                case WorkCutOut cut:
                    _clip = cut.Area;
                    break;
                case LayerTrimmed or LayerOpened or LayerParted:
                    break;
                default:
                    throw new ArgumentException($"No sight is known of {change.GetType().Name}.", nameof(change));
            }
        }

        private ImmutableArray<int> Seen(IEnumerable<string> stack, bool isBack)
        {
            var seen = stack
                .Select(name =>
                    name.StartsWith("top ", StringComparison.Ordinal) ? (isBack ? (int?)null : -1 - Number(name))
                    : name.StartsWith("under ", StringComparison.Ordinal) ? (isBack ? -1 - Number(name) : null)
                    : _shapeOf.TryGetValue(name, out var shape) ? shape
                    : null
                )
                .OfType<int>();
            return [.. isBack ? seen.Reverse() : seen];
        }

        private static int Number(string name) =>
            int.Parse(name.AsSpan(name.IndexOf(' ') + 1), System.Globalization.CultureInfo.InvariantCulture);

        /// <summary>True where hands work on the back: they lay something there, or cut what is seen from there only.</summary>
        private bool IsOnBack(ProgramHands hands, ImmutableArray<PresentLayer> before) =>
            hands.Kind == HandKind.LayBehind
            || (hands.Kind != HandKind.HoopUp && hands.Changes.OfType<LayerLaid>().Any(laid => laid.IsBeneath))
            || (
                hands.HoopOff
                && hands.Changes.OfType<LayerOpened>().FirstOrDefault() is { } opened
                && before.Select(layer => layer.Id).ToList().IndexOf(opened.LayerId) is >= 0 and var at
                && before[(at + 1)..].Any(layer => !RegionOverlay.Intersection(layer.Area, opened.Area).IsEmpty)
                && before[..at].All(layer => RegionOverlay.Intersection(layer.Area, opened.Area).IsEmpty)
            );

        /// <summary>The turned work: what lay under the layer that closed it, seen from the side that it closed; null where nothing closes
        /// it.</summary>
        private HoopSight? Turned(int step)
        {
            var isLast = !program.Steps.Skip(step + 1).OfType<ProgramHands>().Any(hands => hands.Kind == HandKind.Turn);
            var closer = isLast
                ? _layers.FirstOrDefault(layer => layer is { Role: LayerRole.Outer, FaceUp: false } && IsOver(layer))
                : _layers.LastOrDefault(layer => layer is { Role: LayerRole.Lining, FaceUp: true } && !IsOver(layer));
            if (closer is null || Outline(closer.Id, step) is not { IsEmpty: false } outline)
            {
                return null;
            }
            var at = _stack.IndexOf(closer.Id);
            var things = Seen(isLast ? _stack.Take(at) : _stack.Skip(at + 1), !isLast);
            return isLast ? WithInserts(things, outline) : new HoopSight(true, things, outline, true);
        }

        /// <summary>The turned front: what was laid on it with its ends in the seam stands out from the seam now.</summary>
        private HoopSight WithInserts(ImmutableArray<int> things, ImmutableArray<Region> outline)
        {
            var front = _layers.Where(layer => layer is { Role: LayerRole.Outer, FaceUp: true }).ToList();
            var above = front.Count == 0 ? int.MaxValue : front.Max(layer => _stack.IndexOf(layer.Id));
            var (shown, clip) = (things.ToBuilder(), outline);
            for (var i = 0; i < shown.Count; i++)
            {
                if (
                    shown[i] < 0
                    || _shapes[shown[i]].Layer is not { Role: LayerRole.Inner } layer
                    || _stack.IndexOf(layer.Id) < above
                )
                {
                    continue;
                }
                if (Flipped(layer.Area, outline) is { IsEmpty: false } flipped)
                {
                    shown[i] = _shapes.Count;
                    _shapes.Add(new SeenShape(layer with { Area = flipped }));
                    clip = clip.AddRange(flipped);
                }
            }
            return new HoopSight(false, shown.ToImmutable(), clip, true);
        }

        /// <summary>What lies within an outline of an area that reaches across its edge, turned over that edge; nothing where it does not
        /// reach across.</summary>
        private static ImmutableArray<Region> Flipped(ImmutableArray<Region> area, ImmutableArray<Region> outline)
        {
            var (inside, outside) = (
                RegionOverlay.Intersection(area, outline),
                RegionOverlay.Difference(area, outline)
            );
            if (inside.IsEmpty || outside.IsEmpty)
            {
                return [];
            }
            Point Middle(ImmutableArray<Region> regions) => Box.Of(regions).Centre;
            var (from, to) = (Middle(inside), Middle(outside));
            var index = new AreaIndex(outline);
            var (low, high) = (from, to);
            for (var i = 0; i < 20; i++)
            {
                var middle = Point.Lerp(low, high, 0.5);
                (low, high) = index.Holds(middle) ? (middle, high) : (low, middle);
            }
            var away = (to - from).Unit();
            Point Mirrored(Point at) => at - (away * (2 * Point.Dot(at - low, away)));
            return
            [
                .. inside.Select(region => new Region(
                    Ring.Of([.. region.Shell.Points.Reverse().Select(Mirrored)]),
                    []
                )),
            ];
        }

        /// <summary>True for a layer above the one that shows its right side upwards.</summary>
        private bool IsOver(PresentLayer layer)
        {
            var front = _layers.FirstOrDefault(known => known is { Role: LayerRole.Outer, FaceUp: true });
            return front is not null && _stack.IndexOf(layer.Id) > _stack.IndexOf(front.Id);
        }

        /// <summary>What the largest seam goes round that was sewn through a layer; of work that is cut out its own form, as small as the
        /// seam.</summary>
        private ImmutableArray<Region> Outline(string layer, int until)
        {
            var laid = Enumerable
                .Range(0, until)
                .FirstOrDefault(i =>
                    program.Steps[i] is ProgramHands hands
                    && hands.Changes.OfType<LayerLaid>().Any(change => change.LayerId == layer)
                );
            var seam = program
                .Steps.Take(until)
                .Skip(laid)
                .OfType<ProgramStitches>()
                .Select(sewn => sewn.OwnPoints().ToImmutableArray())
                .Where(points => points.Length > 2)
                .MaxBy(points => Box.Of(points) is var box ? box.Width * box.Height : 0);
            if (seam.IsDefaultOrEmpty)
            {
                return [];
            }
            if (!_clip.IsEmpty)
            {
                // Where the seam leaves a gap the edge goes on as it was cut, as far inside as the seam lies elsewhere.
                var inside = seam.Select(at => RegionOverlay.DistanceToRings(_clip, at))
                    .Order()
                    .ElementAt(seam.Length / 2);
                return RegionOffset.By(_clip, -inside);
            }
            var about = RegionOffset
                .Around(
                    [
                        [.. seam, seam[0]],
                    ],
                    Round
                )
                .MaxBy(region => Math.Abs(region.Shell.SignedArea));
            return about is null ? [] : RegionOffset.By([new Region(about.Shell, [])], -Round);
        }
    }
}
