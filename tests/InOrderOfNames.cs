using Xunit.Sdk;
using Xunit.v3;

[assembly: TestMethodOrderer(typeof(Ullet.Tests.InOrderOfNames))]

namespace Ullet.Tests;

/// <summary>Tests of a class follow one another by their names, wherever the sources lie: what passes on one machine meets the same
/// neighbours on the next.</summary>
internal sealed class InOrderOfNames : ITestMethodOrderer
{
    public IReadOnlyCollection<TTestMethod?> OrderTestMethods<TTestMethod>(
        IReadOnlyCollection<TTestMethod?> testMethods
    )
        where TTestMethod : notnull, ITestMethod =>
        [.. testMethods.OrderBy(method => method?.MethodName, StringComparer.Ordinal)];
}
