using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

[assembly: Xunit.v3.Parallelization(Mode = Xunit.Sdk.ParallelMode.None)]

namespace Foundling.Browser.Tests;

/// <summary>The real program as a process of its own, on a data folder of its own.</summary>
public sealed class RunningShop : IDisposable
{
    private Process? _process;

    public RunningShop(bool demo = true, string? folder = null, bool start = true)
    {
        Demo = demo;
        Folder = folder ?? Directory.CreateTempSubdirectory("foundling-run-").FullName;
        if (demo && start && folder is null)
        {
            Folders.Copy(Filled.Value, Folder);
        }
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        Port = ((IPEndPoint)listener.LocalEndpoint).Port;
        listener.Stop();
        if (start)
        {
            Start();
        }
    }

    // Filling a demo shop takes many times as long as opening it: it is filled once, and each test opens a copy.
    private static readonly Lazy<string> Filled = new(() =>
    {
        string folder = Folders.UntilTheEnd("foundling-filled-");
        new RunningShop(demo: true, folder).Close();
        return folder;
    });

    public bool Demo { get; }

    public string Folder { get; }

    public int Port { get; }

    /// <summary>Most memory the program has held so far, MB.</summary>
    public long MostMegabytes => long.Parse(File.ReadLines($"/proc/{_process!.Id}/status").First(l =>
        l.StartsWith("VmHWM", StringComparison.Ordinal)).Split(' ', StringSplitOptions.RemoveEmptyEntries)[^2]) / 1024;

    public string Address => $"http://localhost:{Port}";

    public void Start()
    {
        _process = Process.Start(Command())!;
        var open = new TaskCompletionSource();
        var said = new System.Text.StringBuilder();
        _process.OutputDataReceived += (_, line) =>
        {
            said.AppendLine(line.Data);
            if (line.Data?.Contains("is open at", StringComparison.Ordinal) == true)
            {
                open.TrySetResult();
            }
        };
        _process.ErrorDataReceived += (_, line) => said.AppendLine(line.Data);
        _process.EnableRaisingEvents = true;
        _process.Exited += (_, _) => open.TrySetException(new InvalidOperationException("The program ended: " + said));
        _process.BeginOutputReadLine();
        _process.BeginErrorReadLine();
        open.Task.Wait(TimeSpan.FromSeconds(60)).ShouldBeTrue(said.ToString());
    }

    /// <summary>Starts the program and ends it after a while, wherever it is by then.</summary>
    public void StartAndKill(TimeSpan after)
    {
        using Process process = Process.Start(Command())!;
        process.WaitForExit(after);
        process.Kill(entireProcessTree: true);
        process.WaitForExit();
    }

    private ProcessStartInfo Command()
    {
        // The program built beside these tests, in the same configuration.
        string output = AppContext.BaseDirectory.Replace(Path.Combine("tests", "Foundling.Browser.Tests"), Path.Combine("src", "Foundling.Web"),
            StringComparison.Ordinal);
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        start.ArgumentList.Add(Path.Combine(output, "Foundling.Web.dll"));
        foreach (string argument in new[] { "--port", Port.ToString(), "--data", Folder }.Concat(Demo ? ["--demo"] : []))
        {
            start.ArgumentList.Add(argument);
        }
        return start;
    }

    /// <summary>Asks the process to end, and waits until it has.</summary>
    private void Close()
    {
        using Process asked = Process.Start("kill", ["-TERM", $"{_process!.Id}"]);
        _process.WaitForExit();
        _process.Dispose();
        _process = null;
    }

    /// <summary>Ends the process as a power cut would.</summary>
    public void Kill()
    {
        _process!.Kill(entireProcessTree: true);
        _process.WaitForExit();
        _process.Dispose();
        _process = null;
    }

    public void Dispose()
    {
        if (_process is not null)
        {
            Kill();
        }
        Directory.Delete(Folder, recursive: true);
    }
}

/// <summary>Waits for what happens elsewhere.</summary>
internal static class Waiting
{
    /// <summary>Waits until a condition holds.</summary>
    public static async Task Until(Func<bool> condition, string what)
    {
        for (var watch = Stopwatch.StartNew(); !condition(); await Task.Delay(20))
        {
            watch.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(40), what);
        }
    }
}

/// <summary>One browser for a class of tests.</summary>
public sealed class Browser : IDisposable
{
    private readonly string _profile = Directory.CreateTempSubdirectory("foundling-chromium-").FullName;

    public Browser()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-dev-shm-usage",
            "--window-size=1280,900", $"--user-data-dir={_profile}");
        options.AddUserProfilePreference("download.default_directory", Downloads);
        options.SetLoggingPreference(LogType.Browser, LogLevel.Severe);
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options, TimeSpan.FromSeconds(60));
    }

    public ChromeDriver Driver { get; }

    public string Downloads { get; } = Directory.CreateTempSubdirectory("foundling-downloads-").FullName;

    public WebDriverWait Wait => new(Driver, TimeSpan.FromSeconds(40)) { PollingInterval = TimeSpan.FromMilliseconds(50) };

    public void Size(int width, int height) => Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string,
        object?> { ["width"] = width, ["height"] = height, ["deviceScaleFactor"] = 1, ["mobile"] = width < 500 });

    public void Go(string url)
    {
        Driver.Navigate().GoToUrl(url);
        Dressed();
    }

    /// <summary>Waits until a page that has scripts has set them up.</summary>
    public void Dressed() => Until(() => !Has("script[type=module]") || Has("html[data-dressed]"), "the scripts of the page are set up");

    public IWebElement Find(string css) => Wait.Until(d => d.FindElements(By.CssSelector(css)).FirstOrDefault(e => e.Displayed))!;

    public bool Has(string css) => Driver.FindElements(By.CssSelector(css)).Count > 0;

    public string Text(string css) => Find(css).Text;

    /// <summary>Waits until a condition holds; a page that is being exchanged counts as not yet.</summary>
    public void Until(Func<bool> condition, string what)
    {
        WebDriverWait wait = Wait;
        wait.Message = what;
        wait.IgnoreExceptionTypes(typeof(StaleElementReferenceException), typeof(NoSuchElementException));
        try
        {
            wait.Until(_ => condition());
        }
        catch (WebDriverTimeoutException late)
        {
            // What the page says instead is mostly why.
            string said = string.Join(" | ", Driver.FindElements(By.CssSelector("#said, [role=alert], .fault")).Select(e => e.Text).Where(t => t.Length > 0));
            throw new WebDriverTimeoutException($"{late.Message}. {Driver.Url} says: {(said.Length > 0 ? said : "nothing")}", late);
        }
    }

    public void Click(string css)
    {
        IWebElement element = Find(css);
        Driver.ExecuteScript("arguments[0].scrollIntoView({block: 'center'})", element);
        element.Click();
    }

    public void Type(string css, string text)
    {
        IWebElement field = Find(css);
        field.Clear();
        field.SendKeys(text);
    }

    /// <summary>Takes the connection away, or gives it back.</summary>
    public void Offline(bool offline)
    {
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new() { ["offline"] = offline, ["latency"] = 0, ["downloadThroughput"] = -1,
            ["uploadThroughput"] = -1 });
    }

    public void Choose(string css, string value) => Find(css).FindElement(By.CssSelector($"option[value='{value}']")).Click();

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        Directory.Delete(Downloads, true);
        Directory.Delete(_profile, true);
    }
}

/// <summary>The demo shop with a browser in front of it.</summary>
public sealed class DemoShop : IDisposable
{
    public RunningShop Shop { get; } = new();

    public Browser Browser { get; } = new();

    public void Dispose()
    {
        Browser.Dispose();
        Shop.Dispose();
    }
}
