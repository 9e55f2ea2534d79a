namespace Ullet.Core.Pipeline;

/// <summary>One station of the way from document to files: a pure function with a key for its cache.</summary>
public interface IStation<in TIn, TOut>
{
    /// <summary>Raised whenever the same input would give another output.</summary>
    int Version { get; }

    /// <summary>Equal keys mean equal outputs.</summary>
    ContentHash Key(TIn input);

    TOut Compute(TIn input, CancellationToken cancellation);

    /// <summary>About how many bytes an output takes in memory; caches are bounded by it.</summary>
    long Bytes(TOut output);
}
