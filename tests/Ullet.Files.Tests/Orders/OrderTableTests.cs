using System.Text;
using Ullet.Files.Orders;

namespace Ullet.Files.Tests.Orders;

/// <summary>Tables from elsewhere: every encoding and divider, and what is refused with a sentence.</summary>
public sealed class OrderTableTests
{
    private static bool IsHeader(string cell) => cell is "Name" or "No";

    [Theory]
    [InlineData("No\tName\r\n1\tZoë\r\n")]
    [InlineData("No;Name\n1;Zoë\n")]
    [InlineData("No,Name\r1,Zoë\r")]
    [InlineData("\"No\",\"Name\"\n\"1\",\"Zoë\"")]
    public void Tables_OfAnyDivider_AreRead(string text)
    {
        var table = OrderTable.Read(text, IsHeader).Value;
        Assert.True(table.HasHeader);
        Assert.Equal(["No", "Name"], table.Columns);
        Assert.Equal(["1", "Zoë"], Assert.Single(table.Rows));
    }

    [Fact]
    public void Files_OfAnyEncoding_AreRead()
    {
        const string Text = "No,Name\n7,Zoë O’Dell\n";
        byte[][] files =
        [
            Encoding.UTF8.GetBytes(Text),
            [.. Encoding.UTF8.GetPreamble(), .. Encoding.UTF8.GetBytes(Text)],
            [.. Encoding.Unicode.GetPreamble(), .. Encoding.Unicode.GetBytes(Text)],
            [.. Encoding.BigEndianUnicode.GetPreamble(), .. Encoding.BigEndianUnicode.GetBytes(Text)],
            [.. "No,Name\n7,Zo"u8, 0xeb, .. " O"u8, 0x92, .. "Dell\n"u8],
        ];
        Assert.All(
            files,
            file => Assert.Equal(["7", "Zoë O’Dell"], Assert.Single(OrderTable.Read(file, IsHeader).Value.Rows))
        );
    }

    [Fact]
    public void QuotedCells_KeepDividersQuotesAndLineEnds()
    {
        var table = OrderTable.Read("Name,Note\n\"Ama, of plot 3\",\"says \"\"hello\"\"\nto all\"\n", IsHeader).Value;
        Assert.Equal(["Ama, of plot 3", "says \"hello\"\nto all"], Assert.Single(table.Rows));
    }

    [Theory]
    [InlineData("=SUM(A1)")]
    [InlineData("+44 7")]
    [InlineData("@home")]
    [InlineData("-7")]
    [InlineData("'quoted")]
    public void Formulas_AreText_AndComeBackAsTyped(string cell)
    {
        var written = OrderTable.Write([
            ["No", "Name"],
            ["1", cell],
        ]);
        Assert.Contains($"'{cell}", Encoding.UTF8.GetString(written), StringComparison.Ordinal);
        Assert.Equal(["1", cell], Assert.Single(OrderTable.Read(written, IsHeader).Value.Rows));
    }

    [Fact]
    public void ShortRows_AreFilledUp_AndEmptyOnesLeftOut()
    {
        var table = OrderTable.Read("No,Name,Note\n1\n\n,,\n2,Ama\n", IsHeader).Value;
        Assert.Equal(2, table.Rows.Length);
        Assert.All(table.Rows, row => Assert.Equal(3, row.Length));
    }

    [Fact]
    public void TooMuch_IsRefused_SayingWhere()
    {
        var many = string.Concat(Enumerable.Range(0, 1_000_000).Select(i => $"{i},x\n"));
        Assert.Equal("table-rows", OrderTable.Read(many, IsHeader).Refusal?.Code);
        var cell = OrderTable.Read($"No,Name\n1,{new string('x', 10_000)}\n", IsHeader).Refusal!;
        Assert.Equal("cell-too-long", cell.Code);
        Assert.Contains("Row 2, column 2 holds 10,000 characters", cell.Words, StringComparison.Ordinal);
        var open = OrderTable.Read($"No,Name\n1,\"{new string('x', 2_000)}", IsHeader).Refusal!;
        Assert.Contains("A quote that is not closed", open.Words, StringComparison.Ordinal);
        Assert.Equal("table-broken", OrderTable.Read("No\0Name", IsHeader).Refusal?.Code);
        Assert.Equal("table-empty", OrderTable.Read(" \n \n", IsHeader).Refusal?.Code);
        Assert.Equal("table-too-large", OrderTable.Read(new byte[OrderTable.LargestFile + 1], IsHeader).Refusal?.Code);
    }
}
