using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Evaluation;

/// <summary>An outline with what stands for it in keys.</summary>
internal sealed record KeyedOutline(Outline Outline, ContentHash Key);

/// <summary>A piece of cloth with what the stack leaves of it.</summary>
/// <param name="Part">The piece.</param>
/// <param name="Laid">The cloth as it is cut and laid.</param>
/// <param name="Line">The same as the lines that hold it follow it.</param>
/// <param name="Edge">The edge that its cover lies on, mm.</param>
/// <param name="Edges">Which stretches of that are covered and visible.</param>
/// <param name="EdgesKey">Stands for the edge and its stretches.</param>
/// <param name="Drift">How far the edge lies from the outline as drawn at most, mm, and where.</param>
internal sealed record LaidPiece(
    PartOutline Part,
    KeyedOutline Laid,
    KeyedOutline Line,
    Outline Edge,
    OpenEdges Edges,
    ContentHash EdgesKey,
    (double Length, Point At) Drift
);
