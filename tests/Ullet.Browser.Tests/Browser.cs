using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Ullet.Browser.Tests;

/// <summary>One browser for all tests of a class: each begins as if it were new.</summary>
internal sealed class Browser : IDisposable
{
    internal Browser()
    {
        Folder = Directory.CreateTempSubdirectory("ullet-visitor-").FullName;
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            $"--user-data-dir={Path.Combine(Folder, "profile")}"
        );
        options.AddUserProfilePreference("download.default_directory", Folder);
        options.SetLoggingPreference(LogType.Browser, LogLevel.Severe);
        options.UnhandledPromptBehavior = UnhandledPromptBehavior.Accept;
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin/chromedriver"), options);
    }

    internal ChromeDriver Driver { get; }

    /// <summary>Where downloads go.</summary>
    internal string Folder { get; }

    /// <summary>Leaves the page and forgets all that pages kept and complained of.</summary>
    internal void Renew(Uri address)
    {
        Driver.ResetInputState();
        Driver.Navigate().GoToUrl("about:blank");
        Driver.ExecuteCdpCommand(
            "Storage.clearDataForOrigin",
            new Dictionary<string, object?>
            {
                ["origin"] = address.GetLeftPart(UriPartial.Authority),
                ["storageTypes"] = "all",
            }
        );
        Driver.Manage().Logs.GetLog(LogType.Browser);
    }

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        Directory.Delete(Folder, recursive: true);
    }
}
