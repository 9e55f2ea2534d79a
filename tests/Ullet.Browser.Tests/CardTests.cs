using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class CardTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void APouch_IsSewnFromItsBooklet_AndFromACardOnAPhone_ThatGoesOnWithoutTheServer() =>
        Visit(visitor =>
        {
            OpenFromShelf(visitor, "Seed-packet pouch");
            visitor.Click("link", "Packet");
            var pdf = visitor.Download("link", "Download: Booklet", "booklet.pdf");
            Assert.Equal("%PDF-"u8.ToArray(), pdf[..5]);
            AssertAccessible(visitor, "packet");
            visitor.Click("button", "Show on a phone, off");
            visitor.WaitForText("Code to type on the phone");
            var (code, address) = Door(visitor);
            Assert.DoesNotContain("127.0.0.1", address, StringComparison.Ordinal);

            // A phone, by the machine's own address in its network.
            visitor.Resize(390, 844);
            visitor.GoToAddress(address);
            AssertAccessible(visitor, "the code");
            visitor.Fill("Code", code);
            visitor.Click("button", "Open the card");
            visitor.WaitForText("Hoop soft cut-away stabiliser alone");
            AssertAccessible(visitor, "card");
            Assert.All(TouchTargets(visitor), size => Assert.True(size >= 44, $"a target of {size} px"));

            // The server's answers stop; the card goes on, by keys and by its buttons.
            visitor.GoOffline(true);
            visitor.Press(Keys.ArrowRight);
            visitor.WaitForText("2 of ");
            visitor.Click("button", "Back");
            visitor.WaitForText("1 of ");
            for (var i = 0; i < 60 && !Says(visitor, "Turn the work through the gap"); i++)
            {
                visitor.Press(Keys.ArrowRight);
            }
            visitor.WaitForText("Turn the work through the gap");
            visitor.GoOffline(false);

            // The place is kept by its step.
            visitor.GoToAddress(address);
            visitor.WaitForText("Turn the work through the gap");

            visitor.Resize(1280, 800);
            OpenFromShelf(visitor, "Seed-packet pouch");
            visitor.Click("link", "Packet");
            visitor.Click("button", "Show on a phone, on");
            visitor.WaitForNoText("Code to type on the phone");
            Assert.False(Answers(address));
        });

    [Fact]
    public void OnANarrowScreen_RoomsThatWantMoreSaySo_AndTheOthersWork() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Small screen");
            AddShape(visitor, "Heart");
            visitor.Resize(390, 844);
            visitor.WaitForText("The wall wants more room");
            AssertAccessible(visitor, "narrow wall");
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("The cutting table wants more room");
            visitor.Click("link", "Packet");
            visitor.WaitForText("Show on a phone");
            visitor.Resize(768, 1024);
            visitor.Click("link", "Run sheet");
            visitor.WaitForText("Ullet’s order");
            Assert.True(FitsAcross(visitor));
            visitor.Click("link", "Wall");
            visitor.WaitForText("Stack");
            Assert.True(FitsAcross(visitor));
        });

    private static (string Code, string Address) Door(Visitor visitor) =>
        (
            (string)visitor.Run("return document.querySelector('[data-code]').textContent")!,
            (string)visitor.Run("return document.querySelector('figcaption').textContent")!
        );

    /// <summary>The lesser side of everything on the card that a finger may press, px.</summary>
    private static IEnumerable<double> TouchTargets(Visitor visitor) =>
        (
            (IEnumerable<object>)
                visitor.Run(
                    "return [...document.querySelectorAll('button,select')].map(e => e.getBoundingClientRect()).map(r => Math.min(r.width, r.height))"
                )!
        ).Select(size => Convert.ToDouble(size, System.Globalization.CultureInfo.InvariantCulture));

    private static bool Says(Visitor visitor, string text) =>
        (bool)visitor.Run("return document.querySelector('.stop.on').textContent.includes(arguments[0])", text)!;

    private static bool FitsAcross(Visitor visitor) =>
        (bool)visitor.Run("return document.documentElement.scrollWidth <= window.innerWidth")!;

    private static bool Answers(string address)
    {
        var uri = new Uri(address);
        using var client = new System.Net.Sockets.TcpClient();
        try
        {
            client.Connect(uri.Host, uri.Port);
            return true;
        }
        catch (System.Net.Sockets.SocketException)
        {
            return false;
        }
    }
}
