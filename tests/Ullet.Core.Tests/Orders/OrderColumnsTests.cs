using System.Collections.Immutable;
using Ullet.Core.Orders;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Orders;

/// <summary>Columns of tables from elsewhere find theirs in the book.</summary>
public sealed class OrderColumnsTests
{
    private static readonly ImmutableArray<FillIn> Fields =
    [
        new WordsFillIn
        {
            Id = "p-name",
            Label = "Name on the front",
            PatternFillInId = "name",
        },
        new WordsFillIn { Id = "f2", Label = "Date" },
    ];

    [Theory]
    [InlineData("Order no.", OrderColumns.Number)]
    [InlineData("QTY", OrderColumns.Quantity)]
    [InlineData("name", "p-name")]
    [InlineData("Name on the front", "p-name")]
    [InlineData("Date", "f2")]
    [InlineData("Due", OrderColumns.WantedBy)]
    [InlineData("Colour of the sky", null)]
    public void Columns_AreMatchedByTheirNames(string name, string? id) =>
        Assert.Equal(id, OrderColumns.Matched(name, Fields));

    [Fact]
    public void WithoutNames_NumbersComeFirst_ThenTheFillIns()
    {
        ImmutableArray<ImmutableArray<string>> rows =
        [
            ["7", "Ama"],
            ["8", "Jo"],
        ];
        Assert.Equal([OrderColumns.Number, "p-name"], OrderColumns.ByPlace(rows, 2, Fields));
        ImmutableArray<ImmutableArray<string>> names =
        [
            ["Ama", "3 May"],
            ["Jo", "4 May"],
        ];
        Assert.Equal(["p-name", "f2"], OrderColumns.ByPlace(names, 2, Fields));
    }

    [Theory]
    [InlineData("3.12.2026", "2026-12-03", 0)]
    [InlineData("2026-12-03", "2026-12-03", 0)]
    [InlineData("soon", "", 1)]
    public void Days_AreReadAsTheyAreWritten(string cell, string day, int troubles)
    {
        var (order, told) = OrderColumns.Order([cell], [OrderColumns.WantedBy], "1");
        Assert.Equal((day, troubles), (order.WantedBy, told.Length));
    }

    [Theory]
    [InlineData("", "order-number")]
    [InlineData("1234567890123456789012345", "order-number")]
    [InlineData("7", null)]
    public void Orders_WithoutAGoodNumber_AreRefused(string number, string? code) =>
        Assert.Equal(
            code,
            new Order { Id = "", Number = number }
                .Cleaned()
                .Check()
                ?.Code
        );
}
