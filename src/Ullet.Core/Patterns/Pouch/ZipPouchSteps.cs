namespace Ullet.Core.Patterns;

/// <summary>What is sewn and done by hand for a zip pouch, in order.</summary>
internal static class ZipPouchSteps
{
    /// <param name="stuff">The project's cloths.</param>
    /// <param name="pouch">Where its parts lie.</param>
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PouchSizes pouch) =>
        [.. PouchFront.Of(stuff, pouch), .. PouchBehind.Of(stuff, pouch), .. PouchClosing.Of(stuff, pouch)];
}
