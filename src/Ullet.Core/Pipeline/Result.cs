namespace Ullet.Core.Pipeline;

/// <summary>A value, or the reason why there is none.</summary>
public readonly record struct Result<T>
{
    private readonly T? _value;

    private Result(T? value, Refusal? refusal)
    {
        _value = value;
        Refusal = refusal;
    }

    /// <summary>The reason; null when there is a value.</summary>
    public Refusal? Refusal { get; }

    public bool IsOk => Refusal is null;

    /// <summary>The value.</summary>
    /// <exception cref="InvalidOperationException">When the result is a refusal.</exception>
    public T Value =>
        Refusal is null ? _value! : throw new InvalidOperationException($"No value: {Refusal.Code}: {Refusal.Words}");

    public static implicit operator Result<T>(T value) => new(value, null);

    public static implicit operator Result<T>(Refusal refusal) => new(default, refusal);

    /// <summary>The value, or the refusal told in another way.</summary>
    public Result<T> Or(Func<Refusal, Refusal> tell) => IsOk ? this : tell(Refusal!);

    /// <summary>Goes on with the value, or hands the refusal through.</summary>
    public Result<TNext> Then<TNext>(Func<T, Result<TNext>> next) => IsOk ? next(Value) : Refusal!;
}
