using System.Text;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Orders;
using Ullet.Files.Stash;

namespace Ullet.Files.Tests.Stash;

public sealed class ThreadTableTests
{
    [Fact]
    public void WhatIsWritten_IsReadTheSame()
    {
        StashThread[] threads =
        [
            new("", "moss, dark", "#5d7a3a")
            {
                Number = "1204",
                Maker = "Allotment \"yarns\"",
                Kind = ThreadKind.Rayon,
                Metres = 412.5,
            },
            new("", "=brick", "#a3492f"),
            new("", "00170", "#000000") { Number = "00170" },
        ];
        var read = Read(Encoding.UTF8.GetString(ThreadTable.Write(threads)).TrimStart('\ufeff'));
        Assert.Empty(read.Troubles);
        Assert.Equal(threads, read.Threads);
    }

    [Theory]
    [InlineData(3)]
    [InlineData(44)]
    [InlineData(555)]
    public void ThreadsOfAnyNames_AreReadAsTheyWereWritten(int seed)
    {
        const string Signs = "abcÄéß ,;\t\"'=+-@#0123456789’–";
        var random = new Random(seed);
        string Text(int most) =>
            string.Concat(Enumerable.Range(0, 1 + random.Next(most)).Select(_ => Signs[random.Next(Signs.Length)]));
        var threads = Enumerable
            .Range(0, 60)
            .Select(_ =>
                new StashThread("", "x" + Text(30), $"#{random.Next(0x1000000):x6}")
                {
                    Number = "n" + Text(12),
                    Maker = random.Next(3) == 0 ? null : "m" + Text(20),
                    Kind = (ThreadKind)random.Next(4),
                    Metres = random.Next(4) == 0 ? null : random.Next(100_000) / 10.0,
                }.Cleaned()
            )
            .ToList();
        var read = Read(Encoding.UTF8.GetString(ThreadTable.Write(threads)).TrimStart('\ufeff'));
        Assert.True(read.Troubles.IsEmpty, $"seed {seed}: {string.Join(' ', read.Troubles)}");
        Assert.Equal(threads, read.Threads);
    }

    [Theory]
    [InlineData("number;name;colour\n12;moss;5d7a3a")]
    [InlineData("Colour\tNo\tShade name\n#5D7A3A\t12\tmoss")]
    [InlineData("hex,thread,code\n#5d7a3a,moss,12")]
    [InlineData("rgb,shade name,shade\n5d7a3a,moss,12")]
    public void Headings_InAnyOrder_OtherWords_AndAnyDivider_AreUnderstood(string table)
    {
        var thread = Assert.Single(Read(table).Threads);
        Assert.Equal(("12", "moss", "#5d7a3a"), (thread.Number, thread.Name, thread.Colour));
    }

    [Theory]
    [InlineData("12,moss,,polyester,green,", "Row 2: The thread needs a colour like #8e2347; \"green\" is none.")]
    [InlineData(
        "12,moss,,wool,#5d7a3a,",
        "Row 2: \"wool\" is no kind of thread; there are polyester, rayon, cotton, metallic."
    )]
    [InlineData("12,moss,,3,#5d7a3a,", "Row 2: \"3\" is no kind of thread")]
    [InlineData("12,moss,,,#5d7a3a,lots", "Row 2: \"lots\" is no length in metres.")]
    [InlineData("12,moss,,,#5d7a3a,-5", "Row 2: What is left of moss must be from 0 to 100000 m")]
    [InlineData(",,,,#5d7a3a,", "Row 2: The thread needs a name.")]
    public void ARow_ThatCantBeRead_SaysWhatAndWhere_AndTheOthersAreRead(string row, string said)
    {
        var read = Read($"number,name,maker,kind,colour,metres\n{row}\n13,brick,,,#a3492f,5 m");
        Assert.Equal("brick", Assert.Single(read.Threads).Name);
        Assert.StartsWith(said, Assert.Single(read.Troubles), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("plot,path\n1,2", "No column says a colour.")]
    [InlineData("colour,path\n#123456,2", "No column says a name or a number.")]
    public void WrongColumns_AreNamed(string table, string said)
    {
        var read = ThreadTable.Read(table);
        var refused = ThreadTable.Threads(read.Value, ThreadTable.Matched(read.Value)).Refusal!;
        Assert.Equal("columns-missing", refused.Code);
        Assert.StartsWith(said, refused.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Columns_CanBeToldByHand_WhereNoHeadingDoes()
    {
        var table = ThreadTable.Read("12,moss,#5d7a3a\n13,brick,#a3492f").Value;
        Assert.False(table.HasHeader);
        var read = ThreadTable.Threads(table, ["number", "name", "colour"]).Value;
        Assert.Equal(["moss", "brick"], read.Threads.Select(thread => thread.Name));
    }

    [Fact]
    public void MoreRows_ThanATableTakes_AreRefusedAsThat()
    {
        var rows = string.Join('\n', Enumerable.Range(0, 20_000).Select(i => $"{i},moss {i},#5d7a3a"));
        var refused = ThreadTable.Read("number,name,colour\n" + rows).Refusal!;
        Assert.Equal(RefusalKind.TooLarge, refused.Kind);
        Assert.StartsWith("A table of threads takes 5,000;", refused.Words, StringComparison.Ordinal);
    }

    private static ReadThreads Read(string text)
    {
        var table = ThreadTable.Read(text);
        Assert.True(table.IsOk, table.Refusal?.Words);
        return ThreadTable.Threads(table.Value, ThreadTable.Matched(table.Value)).Value;
    }
}
