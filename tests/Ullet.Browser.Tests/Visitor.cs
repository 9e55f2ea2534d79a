using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;

namespace Ullet.Browser.Tests;

/// <summary>A person at a browser of 1280 × 800: finds things by their visible names, and waits for states.</summary>
internal sealed class Visitor
{
    /// <summary>How long anything is waited for; a loaded machine of two slow cores draws the shelf's first pictures in up to 20 s.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);

    private readonly ChromeDriver _driver;
    private readonly string _folder;
    private readonly Uri _address;

    /// <param name="browser">The browser of the test's class, as good as new.</param>
    /// <param name="address">Where Ullet is.</param>
    internal Visitor(Browser browser, Uri address)
    {
        (_driver, _folder, _address) = (browser.Driver, browser.Folder, address);
        Resize(1280, 800);
        Motion("reduce");
    }

    /// <summary>Sets the size of the page, CSS pixels; the window's frame left out.</summary>
    internal void Resize(int width, int height) =>
        _driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );

    internal string Path_ => new Uri(_driver.Url).AbsolutePath;

    internal void GoTo(string path)
    {
        _driver.Navigate().GoToUrl(new Uri(_address, path));
        WaitUntilIdle();
    }

    /// <summary>Goes to an address of another server.</summary>
    internal void GoToAddress(string address)
    {
        _driver.Navigate().GoToUrl(new Uri(address));
        WaitUntilIdle();
    }

    /// <summary>Takes every answer away, as when the server or the network is gone; or gives them back.</summary>
    internal void GoOffline(bool isOffline)
    {
        _driver.ExecuteCdpCommand("Network.enable", []);
        _driver.ExecuteCdpCommand(
            "Network.emulateNetworkConditions",
            new Dictionary<string, object?>
            {
                ["offline"] = isOffline,
                ["latency"] = 0,
                ["downloadThroughput"] = -1,
                ["uploadThroughput"] = -1,
            }
        );
    }

    /// <summary>Waits until nothing on the page says that it is busy, and its pictures are there.</summary>
    internal void WaitUntilIdle() =>
        Wait(
            "the page to be idle",
            () =>
                (bool)
                    Run(
                        "return document.querySelector('main, h1') !== null && !document.querySelector('[data-state=busy]')"
                            + " && [...document.images].every(i => i.complete || (i.loading === 'lazy' && i.getBoundingClientRect().top > innerHeight))"
                    )!
        );

    internal void Click(string role, string name, bool last = false)
    {
        Wait(
            $"{role} \"{name}\" to be clickable",
            () =>
            {
                (last ? FindAll(role, name)[^1] : Find(role, name)).Click();
                return true;
            }
        );
        WaitUntilIdle();
    }

    /// <summary>Waits until every picture on the page has come.</summary>
    internal void WaitForPictures() =>
        Wait(
            "the pictures",
            () =>
                (bool)Run("return [...document.images].every(picture => picture.complete && picture.naturalWidth > 0)")!
        );

    /// <summary>Presses one of several of one name, counted from 0 as they stand on the page.</summary>
    internal void ClickNth(string role, string name, int nth)
    {
        Wait(
            $"{role} \"{name}\", number {nth}",
            () =>
            {
                var found = FindAll(role, name);
                if (found.Count <= nth)
                {
                    return false;
                }
                found[nth].Click();
                return true;
            }
        );
        WaitUntilIdle();
    }

    /// <summary>Presses a cell of the order book.</summary>
    internal void ClickCell(string column, int order)
    {
        Wait(
            $"the cell {column} of order {order}",
            () =>
            {
                _driver
                    .FindElement(
                        By.XPath($"//*[@role='gridcell'][starts-with(@aria-label, '{column}, order {order}:')]")
                    )
                    .Click();
                return true;
            }
        );
        WaitUntilIdle();
    }

    internal void Type(string label, string text)
    {
        var field = Field(label);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text + Keys.Enter);
        WaitUntilIdle();
    }

    /// <summary>Types words of one or several lines and goes on.</summary>
    internal void TypeWords(string label, string text)
    {
        var field = Field(label);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
        field.SendKeys(Keys.Control + Keys.Enter);
        WaitUntilIdle();
    }

    /// <summary>Types into a field of a form without sending it.</summary>
    internal void Fill(string label, string text)
    {
        var field = Field(label);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
    }

    /// <summary>Types into fields, one after the other, and presses a button in the same breath: nothing is waited for between.
    /// </summary>
    internal void TypeAndPress(string button, params (string Label, string Text)[] fields)
    {
        var hands = new Actions(_driver);
        foreach (var (label, text) in fields)
        {
            hands.Click(Field(label)).KeyDown(Keys.Control).SendKeys("a").KeyUp(Keys.Control).SendKeys(text);
        }
        hands.Click(Find("button", button)).Perform();
        WaitUntilIdle();
    }

    /// <summary>Types into a field and presses a button as hands do that are slower than the server: the mouse button goes up only
    /// after a text is there.</summary>
    internal void TypeAndPressSlowly(string button, string label, string text, string untilText)
    {
        var hands = new Actions(_driver);
        hands.Click(Field(label)).KeyDown(Keys.Control).SendKeys("a").KeyUp(Keys.Control).SendKeys(text);
        hands.ClickAndHold(Find("button", button)).Perform();
        WaitForText(untilText);
        new Actions(_driver).Release().Perform();
        WaitUntilIdle();
    }

    /// <summary>Ticks boxes one after the other in the same breath.</summary>
    internal void TickAtOnce(params string[] labels)
    {
        var hands = new Actions(_driver);
        foreach (var label in labels)
        {
            hands.Click(
                _driver.FindElement(
                    By.XPath($"//label[contains(normalize-space(.), '{label}')]/input[@type='checkbox']")
                )
            );
        }
        hands.Perform();
        WaitUntilIdle();
    }

    internal void Choose(string label, string option)
    {
        Field(label)
            .FindElements(By.TagName("option"))
            .First(each => each.Text.Contains(option, StringComparison.Ordinal))
            .Click();
        WaitUntilIdle();
    }

    internal void ShiftClick(string role, string name)
    {
        new Actions(_driver).KeyDown(Keys.Shift).Click(Find(role, name)).KeyUp(Keys.Shift).Perform();
        WaitUntilIdle();
    }

    /// <summary>Drags a shape on the mat by its left edge, so many mm.</summary>
    internal void DragShape(string name, double x, double y)
    {
        var at =
            (Dictionary<string, object>)
                Run(
                    "const path = document.querySelector(`g[data-shape=\"${arguments[0]}\"] > path`);"
                        + "const svg = path.ownerSVGElement; const p = path.getPointAtLength(path.getTotalLength() * 0.3);"
                        + "const b = path.getBBox(); const m = svg.getScreenCTM();"
                        + "const c = new DOMPoint(b.x + b.width / 2, b.y + b.height / 2);"
                        + "const i = new DOMPoint(p.x + (c.x - p.x) * 0.2, p.y + (c.y - p.y) * 0.2).matrixTransform(m);"
                        + "return { x: i.x, y: i.y, mm: m.a };",
                    name
                )!;
        double N(string key) => Convert.ToDouble(at[key], CultureInfo.InvariantCulture);
        new Actions(_driver)
            .MoveToLocation((int)N("x"), (int)N("y"))
            .ClickAndHold()
            .MoveByOffset((int)(x * N("mm") / 2), (int)(y * N("mm") / 2))
            .MoveByOffset((int)(x * N("mm") / 2), (int)(y * N("mm") / 2))
            .Release()
            .Perform();
        WaitUntilIdle();
    }

    /// <summary>Lets things move; tests ask for calm unless the moving itself is looked at.</summary>
    internal void AllowMotion() => Motion("no-preference");

    private void Motion(string wish) =>
        _driver.ExecuteCdpCommand(
            "Emulation.setEmulatedMedia",
            new Dictionary<string, object?>
            {
                ["features"] = new[]
                {
                    new Dictionary<string, object?> { ["name"] = "prefers-reduced-motion", ["value"] = wish },
                },
            }
        );

    /// <summary>Waits until a progress bar has come so far, per cent.</summary>
    internal void WaitForProgress(int percent) =>
        Wait(
            $"{percent} per cent",
            () =>
                (bool)
                    Run(
                        "return Number(document.querySelector('[role=progressbar]')?.getAttribute('aria-valuenow') ?? 0) >= arguments[0]",
                        percent
                    )!
        );

    /// <summary>Presses a button and does not wait for what it begins.</summary>
    internal void PressButton(string name) =>
        Wait(
            $"the button {name}",
            () =>
            {
                Find("button", name).Click();
                return true;
            }
        );

    /// <summary>Chooses one of several ways by its words.</summary>
    internal void CheckRadio(string words)
    {
        Wait(
            $"the choice \"{words}\"",
            () =>
            {
                _driver
                    .FindElement(By.XPath($"//label[contains(normalize-space(.), '{words}')]/button[@role='radio']"))
                    .Click();
                return true;
            }
        );
        WaitUntilIdle();
    }

    /// <summary>Ticks a box by the words in its label.</summary>
    internal void CheckBox(string words)
    {
        _driver
            .FindElement(By.XPath($"//label[contains(normalize-space(.), '{words}')]/input[@type='checkbox']"))
            .Click();
        WaitUntilIdle();
    }

    internal void Check(string label)
    {
        Field(label).Click();
        WaitUntilIdle();
    }

    internal string ValueOf(string label) => Field(label).GetDomProperty("value")!;

    internal void WaitForValue(string label, string value) =>
        Wait($"{label} to be {value}", () => ValueOf(label) == value);

    internal void WaitForText(string text) =>
        Wait($"\"{text}\" to be seen", () => Text().Contains(text, StringComparison.Ordinal));

    internal void WaitForNoText(string text) =>
        Wait($"\"{text}\" to go", () => !Text().Contains(text, StringComparison.Ordinal));

    internal string Text() => (string)Run("return document.body.innerText")!;

    internal string TextOf(string role, string name) => Find(role, name).Text;

    internal bool Sees(string role, string name) => FindAll(role, name).Count > 0;

    internal void Press(params string[] keys)
    {
        var actions = new Actions(_driver);
        foreach (var key in keys.SkipLast(1))
        {
            actions.KeyDown(key);
        }
        actions.SendKeys(keys[^1]);
        foreach (var key in keys.SkipLast(1))
        {
            actions.KeyUp(key);
        }
        actions.Perform();
        WaitUntilIdle();
    }

    /// <summary>Drags on the wall; places in mm from the field's centre, as the wall shows a fitted hoop.</summary>
    internal void DragOnWall((double X, double Y) from, (double X, double Y) to, bool letGo = true)
    {
        var (start, end) = (OnWall(from), OnWall(to));
        var actions = new Actions(_driver)
            .MoveToLocation(start.X, start.Y)
            .ClickAndHold()
            .MoveToLocation((start.X + end.X) / 2, (start.Y + end.Y) / 2)
            .MoveToLocation(end.X, end.Y);
        (letGo ? actions.Release() : actions).Perform();
        if (letGo)
        {
            WaitUntilIdle();
        }
    }

    /// <summary>Draws round something on the wall in one go; places in mm from the field's centre.</summary>
    internal void DrawRound(params (double X, double Y)[] places)
    {
        var on = places.Select(place => OnWall(place)).ToList();
        var actions = new Actions(_driver).MoveToLocation(on[0].X, on[0].Y).ClickAndHold();
        foreach (var at in on.Skip(1))
        {
            actions.MoveToLocation(at.X, at.Y);
        }
        actions.Release().Perform();
        WaitUntilIdle();
    }

    internal void LetGo() => new Actions(_driver).Release().Perform();

    internal void DoubleClickOnWall(double x, double y)
    {
        var at = OnWall((x, y));
        new Actions(_driver).MoveToLocation(at.X, at.Y).DoubleClick().Perform();
        WaitUntilIdle();
    }

    internal void RightClickOnWall(double x, double y)
    {
        var at = OnWall((x, y));
        new Actions(_driver).MoveToLocation(at.X, at.Y).ContextClick().Perform();
        WaitUntilIdle();
    }

    /// <summary>Drags one row of the stack on to another.</summary>
    internal void DragInStack(string name, string on)
    {
        IWebElement Row(string of) =>
            _driver.FindElement(
                By.XPath($"//section[@aria-label='Stack']//li[.//span[normalize-space(text())='{of}']]")
            );
        new Actions(_driver).ClickAndHold(Row(name)).MoveByOffset(0, -8).MoveToElement(Row(on)).Release().Perform();
        WaitUntilIdle();
    }

    internal void ClickInStack(string name)
    {
        Wait(
            $"\"{name}\" in the stack",
            () =>
            {
                _driver
                    .FindElement(
                        By.XPath($"//section[@aria-label='Stack']//button[.//span[normalize-space(text())='{name}']]")
                    )
                    .Click();
                return true;
            }
        );
        WaitUntilIdle();
    }

    /// <summary>The steps of the run sheet's list, in order, once the room shows any.</summary>
    internal List<string> Steps()
    {
        List<string> steps = [];
        Wait(
            "the run sheet's steps",
            () =>
            {
                steps =
                [
                    .. _driver
                        .FindElements(By.XPath("//section[@aria-label='Steps']//li//span[contains(@class,'truncate')]"))
                        .Select(row => row.Text),
                ];
                return steps.Count > 0;
            }
        );
        return steps;
    }

    /// <summary>A row of the run sheet's list, once it is there.</summary>
    private IWebElement StepRow(string name)
    {
        IWebElement? found = null;
        Wait(
            $"the step \"{name}\"",
            () =>
                (
                    found = _driver
                        .FindElements(
                            By.XPath(
                                $"//section[@aria-label='Steps']//li[.//span[contains(@class,'truncate')][normalize-space(.)='{name}']]"
                            )
                        )
                        .FirstOrDefault()
                )
                    is not null
        );
        return found!;
    }

    internal void ClickStep(string name)
    {
        Run("arguments[0].scrollIntoView({ block: 'center' })", StepRow(name));
        StepRow(name).FindElement(By.TagName("button")).Click();
        WaitUntilIdle();
    }

    /// <summary>Drags one row of the run sheet's list on to another.</summary>
    internal void DragStep(string name, string on)
    {
        Run("arguments[0].scrollIntoView({ block: 'center' })", StepRow(name));
        new Actions(_driver)
            .MoveToElement(StepRow(name))
            .ClickAndHold()
            .MoveByOffset(0, 8)
            .MoveToElement(StepRow(on))
            .Release()
            .Perform();
        WaitUntilIdle();
    }

    internal IReadOnlyList<string> Stack() =>
        [
            .. _driver
                .FindElements(By.XPath("//section[@aria-label='Stack']//li//span[contains(@class,'truncate')]"))
                .Select(row => row.Text),
        ];

    internal void ClickOnWall(double x, double y)
    {
        var at = OnWall((x, y));
        new Actions(_driver).MoveToLocation(at.X, at.Y).Click().Perform();
        WaitUntilIdle();
    }

    internal void ChooseFile(string label, string path)
    {
        _driver.FindElement(By.XPath($"//input[@type='file'][@aria-label='{label}']")).SendKeys(path);
        WaitUntilIdle();
    }

    /// <summary>Clicks a download and gives the file that came.</summary>
    internal byte[] Download(string role, string name, string ending)
    {
        var before = Directory.GetFiles(_folder, "*" + ending).ToHashSet(StringComparer.Ordinal);
        Find(role, name).Click();
        string? found = null;
        Wait(
            $"a {ending} file",
            () =>
            {
                found = Directory.GetFiles(_folder, "*" + ending).FirstOrDefault(file => !before.Contains(file));
                return found is not null && new FileInfo(found).Length > 0;
            }
        );
        return File.ReadAllBytes(found!);
    }

    internal byte[] Picture() => _driver.GetScreenshot().AsByteArray;

    internal object? Run(string script, params object[] arguments) => _driver.ExecuteScript(script, arguments);

    internal object? RunAsync(string script) => _driver.ExecuteAsyncScript(script);

    /// <summary>Complaints of the browser: failed scripts, refused styles. A refused request is no fault of the page.</summary>
    internal IReadOnlyList<string> Complaints() =>
        [
            .. _driver
                .Manage()
                .Logs.GetLog(LogType.Browser)
                .Select(entry => entry.Message)
                .Where(message => !message.Contains("Failed to load resource", StringComparison.Ordinal)),
        ];

    private (int X, int Y) OnWall((double X, double Y) place)
    {
        Wait("the wall", () => (bool)Run("return document.querySelector('[role=application]') !== null")!);
        var box =
            (Dictionary<string, object>)
                Run(
                    "const b = document.querySelector('[role=application]').getBoundingClientRect();"
                        + "return { x: b.x, y: b.y, w: b.width, h: b.height };"
                )!;
        double N(string name) => Convert.ToDouble(box[name], CultureInfo.InvariantCulture);
        // The fit of a 130 × 180 field with 44 pixels of room.
        var scale = Math.Min((N("w") - 88) / 130, (N("h") - 88) / 180);
        return (
            (int)Math.Round(N("x") + (N("w") / 2) + (place.X * scale)),
            (int)Math.Round(N("y") + (N("h") / 2) + (place.Y * scale))
        );
    }

    /// <summary>Holds for what hands can reach: while a panel stands in the middle of the screen, only what is in it.</summary>
    private const string InReach =
        "ancestor::*[@role='dialog'][@data-size] or not(//*[@role='dialog'][@data-size]) or ancestor::*[@role='status']";

    private IWebElement Field(string label)
    {
        IWebElement? found = null;
        Wait(
            $"the field \"{label}\"",
            () =>
            {
                var named = _driver.FindElements(
                    By.XPath(
                        $"//label[normalize-space(.)='{label}' or normalize-space(text())='{label}' or span[normalize-space(text())='{label}']][{InReach}]"
                    )
                );
                var id = named.Count > 0 ? named[0].GetDomAttribute("for") : null;
                found =
                    id is not null ? _driver.FindElement(By.Id(id))
                    : named.Count > 0 ? named[0].FindElement(By.CssSelector("input, select, textarea"))
                    : _driver.FindElements(By.XPath($"//*[@aria-label='{label}']")).FirstOrDefault();
                return found is not null;
            }
        );
        return found!;
    }

    private IWebElement Find(string role, string name)
    {
        IWebElement? found = null;
        Wait($"{role} \"{name}\"", () => (found = FindAll(role, name).FirstOrDefault()) is not null);
        return found!;
    }

    private List<IWebElement> FindAll(string role, string name)
    {
        var tags = role switch
        {
            "button" => "self::button or @role='button' or @role='radio' or @role='tab'",
            "link" => "self::a",
            "heading" => "self::h1 or self::h2 or self::h3 or self::h4",
            "menu item" => "@role='menuitem'",
            _ => "self::section or self::aside or self::nav",
        };
        var quoted = name.Contains('\'', StringComparison.Ordinal) ? $"\"{name}\"" : $"'{name}'";
        var path =
            $"//*[{tags}][{InReach}][@aria-label={quoted} or normalize-space(.)={quoted} or .//span[normalize-space(text())={quoted}] or text()[normalize-space(.)={quoted}]]";
        return [.. ((IEnumerable<object>)Run(Seen, path)!).Cast<IWebElement>()];
    }

    /// <summary>What a path leads to, as far as it is to be seen, in one question to the browser.</summary>
    private const string Seen =
        "const found = document.evaluate(arguments[0], document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE);"
        + "return Array.from({ length: found.snapshotLength }, (_, i) => found.snapshotItem(i))"
        + ".filter(e => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }));";

    private void Wait(string what, Func<bool> condition)
    {
        var wait = new WebDriverWait(_driver, Patience)
        {
            Message = $"Waited in vain for {what}.",
            PollingInterval = TimeSpan.FromMilliseconds(40),
        };
        wait.IgnoreExceptionTypes(
            typeof(StaleElementReferenceException),
            typeof(NoSuchElementException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException)
        );
        wait.Until(_ => condition());
    }
}
