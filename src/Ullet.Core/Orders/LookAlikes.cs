namespace Ullet.Core.Orders;

/// <summary>Letters that were typed for figures, and figures for letters.</summary>
internal static class LookAlikes
{
    /// <summary>What is odd about a text; null for nothing.</summary>
    internal static string? In(string text)
    {
        foreach (var word in text.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries))
        {
            var (figures, letters) = (word.Count(char.IsDigit), word.Count(char.IsLetter));
            if (figures > 0 && letters > 0 && word.Where(char.IsLetter).All(c => c is 'O' or 'o' or 'l' or 'I'))
            {
                return $"“{word}” has a letter among its figures (“{word.First(char.IsLetter)}”).";
            }
            if (
                letters > 1
                && word.Where(char.IsDigit).Any()
                && word.Where(char.IsDigit).All(c => c is '0' or '1')
                && !char.IsDigit(word[0])
                && !char.IsDigit(word[^1])
            )
            {
                return $"“{word}” has a figure among its letters (“{word.First(char.IsDigit)}”).";
            }
        }
        return null;
    }
}
