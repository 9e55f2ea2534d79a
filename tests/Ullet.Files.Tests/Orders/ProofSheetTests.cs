using UglyToad.PdfPig;
using Ullet.Core.Orders;
using Ullet.Files.Booklets;
using Ullet.Files.Orders;
using Ullet.Files.Pictures;

namespace Ullet.Files.Tests.Orders;

/// <summary>Proof sheets, read back.</summary>
public sealed class ProofSheetTests
{
    private static IEnumerable<ProofOrder> Proofs(int count)
    {
        var judge = new OrderJudge(DemoWork.Context, DemoWork.All["Plot patch"]);
        for (var i = 1; i <= count; i++)
        {
            var judged = judge.Of(new OrderValues([new OrderValue("p-words", $"Plot {i}")]));
            yield return new ProofOrder(
                new Order
                {
                    Id = $"{i}",
                    Number = $"{100 + i}",
                    Reference = $"Bed {i}",
                },
                [("Words", $"Plot {i}")],
                judged.Evaluated!,
                OrderSum.Of(judged, id => id)
            );
        }
    }

    [Theory]
    [InlineData(BookletPaper.A4, 595)]
    [InlineData(BookletPaper.Letter, 612)]
    public void OneAPage_SaysEveryValue_SpelledOut(BookletPaper paper, double width)
    {
        var pdf = ProofSheet.Pdf("Plot patch", Proofs(2), new ProofLook(paper, false, true));
        using var read = PdfDocument.Open(pdf);
        Assert.Equal(2, read.NumberOfPages);
        var page = read.GetPage(2);
        Assert.Equal(width, page.Width, 1.0);
        var text = string.Concat(page.Letters.Select(letter => letter.Value));
        Assert.Contains("Plot 2", text, StringComparison.Ordinal);
        Assert.Contains("P · l · o · t · (space) · 2", text, StringComparison.Ordinal);
        Assert.Contains("order 102", text, StringComparison.Ordinal);
        Assert.Contains("Bed 2", text, StringComparison.Ordinal);
        Assert.Contains("Stitched size", text, StringComparison.Ordinal);
        Assert.Contains("Threads:", text, StringComparison.Ordinal);
        Assert.Single(page.GetImages());
    }

    [Fact]
    public void AContactSheet_HasTwelveOnAPage()
    {
        var pdf = ProofSheet.Pdf("Plot patch", Proofs(13), new ProofLook(BookletPaper.A4, true, false));
        using var read = PdfDocument.Open(pdf);
        Assert.Equal([12, 1], read.GetPages().Select(page => page.GetImages().Count()));
    }

    [Fact]
    public void AProofToSend_IsAPictureOfThePage()
    {
        var png = ProofSheet.Png("Plot patch", Proofs(1).First(), new ProofLook(BookletPaper.A4, false, true));
        var picture = PictureReader.Size(png).Value;
        Assert.True(picture.Height > picture.Width * 1.4, $"{picture.Width} × {picture.Height}");
    }
}
