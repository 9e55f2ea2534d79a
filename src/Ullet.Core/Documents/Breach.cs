using Ullet.Core.Pipeline;

namespace Ullet.Core.Documents;

/// <summary>Something in a document that is not as it must be.</summary>
/// <param name="Refusal">What and where, in a sentence.</param>
/// <param name="OwnerId">The element, cloth, thread or step that it is about; empty for the whole document.</param>
/// <param name="IsFatal">True when nothing can be made of the document; false for a limit that new input keeps.</param>
public sealed record Breach(Refusal Refusal, string OwnerId, bool IsFatal)
{
    /// <summary>How far the limit is passed, where that can be counted: an older document may stay there, not go farther.</summary>
    public double Amount { get; init; }

    /// <summary>The same breach before and after an edit has the same key.</summary>
    internal (string Code, string Place, string Owner) Key => (Refusal.Code, Refusal.Place, OwnerId);
}
