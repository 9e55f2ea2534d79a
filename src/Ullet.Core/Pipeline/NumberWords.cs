namespace Ullet.Core.Pipeline;

/// <summary>Numbers as one tells them.</summary>
internal static class NumberWords
{
    /// <summary>"1", "1 and 2", "1 to 4 and 6": three or more in a row as first and last.</summary>
    internal static string Of(IReadOnlyList<int> numbers)
    {
        var parts = new List<string>();
        for (var i = 0; i < numbers.Count; )
        {
            var last = i;
            while (last + 1 < numbers.Count && numbers[last + 1] == numbers[last] + 1)
            {
                last++;
            }
            if (last - i >= 2)
            {
                parts.Add($"{numbers[i]} to {numbers[last]}");
            }
            else
            {
                parts.AddRange(numbers.Skip(i).Take(last - i + 1).Select(number => $"{number}"));
            }
            i = last + 1;
        }
        return parts.Count == 1 ? parts[0] : $"{string.Join(", ", parts.SkipLast(1))} and {parts[^1]}";
    }
}
