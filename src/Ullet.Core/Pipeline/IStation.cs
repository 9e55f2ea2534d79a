namespace Ullet.Core.Pipeline;

/// <summary>One station of the way from document to files: a pure function with a key for its cache.</summary>
public interface IStation<in TIn, out TOut>
{
    /// <summary>Raised whenever the same input would give another output.</summary>
    int Version { get; }

    /// <summary>Equal keys mean equal outputs.</summary>
    ContentHash Key(TIn input);

    TOut Compute(TIn input, CancellationToken cancellation);
}
