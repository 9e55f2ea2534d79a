using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>An element's outline with its operations.</summary>
/// <param name="Outline">After the last operation.</param>
/// <param name="Key">Stands for it in keys.</param>
/// <param name="Operations">Each operation that is not muted with what it made, in order.</param>
public sealed record ShapedElement(ElementOutline Outline, ContentHash Key, ImmutableArray<OperationResult> Operations);

/// <summary>What an operation made of what the ones before it left.</summary>
public sealed record OperationResult(
    Operation Operation,
    OperationState State,
    ElementOutline Outline,
    ContentHash Key
);
