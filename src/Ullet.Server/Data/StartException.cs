namespace Ullet.Server.Data;

/// <summary>Ullet can't start, and a person can do something about it: told in one sentence, exit code 2.</summary>
public sealed class StartException(string words) : Exception(words)
{
    public const int ExitCode = 2;
}
