using System.Security.Cryptography;
using System.Text;

namespace Ullet.Server.Cards;

/// <summary>What became of a code that was given.</summary>
internal enum GivenCode
{
    Right,
    Wrong,

    /// <summary>Too many were wrong: no code is taken any more until the switch is turned off and on.</summary>
    Locked,
}

/// <summary>Knows the code, and the phones that gave it.</summary>
internal sealed class PhoneGuard(string code)
{
    /// <summary>So many wrong codes within <see cref="Within"/> lock the door.</summary>
    internal const int MostWrong = 20;

    /// <summary>A minute.</summary>
    private static readonly TimeSpan Within = TimeSpan.FromMinutes(1);

    internal const string Cookie = "ullet-card";

    private readonly string _token = Convert.ToHexString(RandomNumberGenerator.GetBytes(24));
    private readonly Queue<long> _wrong = new();
    private readonly Lock _lock = new();
    private bool _isLocked;

    /// <summary>What a phone that gave the code shows from then on.</summary>
    internal string Token => _token;

    /// <summary>True for a phone that gave the code.</summary>
    internal bool Knows(string? token) => token is not null && AreSame(token, _token);

    /// <summary>Looks at a code.</summary>
    internal GivenCode Given(string given)
    {
        lock (_lock)
        {
            if (_isLocked)
            {
                return GivenCode.Locked;
            }
            if (AreSame(given.Trim(), code))
            {
                return GivenCode.Right;
            }
            var now = Environment.TickCount64;
            _wrong.Enqueue(now);
            while (now - _wrong.Peek() > Within.TotalMilliseconds)
            {
                _wrong.Dequeue();
            }
            _isLocked = _wrong.Count >= MostWrong;
            return _isLocked ? GivenCode.Locked : GivenCode.Wrong;
        }
    }

    private static bool AreSame(string one, string other) =>
        CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(one), Encoding.UTF8.GetBytes(other));
}
