using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Foundling.Data.Store;
using Microsoft.Data.Sqlite;
using SkiaSharp;

namespace Foundling.Browser.Tests;

/// <summary>
/// Ends the program as a power cut would, again and again: while it starts, while pictures come, while a bundle comes, and
/// while several people write. Whatever was confirmed is there afterwards, and every start opens.
/// </summary>
public sealed class KillTests
{
    private readonly Random _random = new(Effort.Long ? Environment.TickCount : 7);

    private static readonly int Rounds = Effort.Long ? 60 : 4;

    [Fact]
    public async Task A_start_that_is_killed_never_keeps_the_shop_from_opening()
    {
        for (int round = 0; round < Rounds / 2; round++)
        {
            using var shop = new RunningShop(start: false);
            for (int kill = 0; kill < 3; kill++)
            {
                shop.StartAndKill(TimeSpan.FromMilliseconds(150 + _random.Next(1600)));
            }
            shop.Start();
            using var client = new HttpClient();
            (await client.GetStringAsync(shop.Address + "/shelf")).ShouldContain("F-0031");
        }
    }

    [Fact]
    public async Task Nothing_confirmed_is_lost_however_often_it_is_killed()
    {
        using var shop = new RunningShop();
        var confirmed = new List<string>();
        var pictures = new HashSet<string>();
        using var reader = new HttpClient();
        byte[] bundle = await reader.GetByteArrayAsync(shop.Address + "/tag/31/papers?handler=Bundle");
        int taken = 0;
        for (int round = 0; round < Rounds; round++)
        {
            using var ended = new CancellationTokenSource();
            Task[] writers =
            [
                Write(async person =>
                {
                    string text = $"round {round} {Guid.NewGuid():N}";
                    if (await person.Post("/tag/40/log", "form[data-keep^=note]", new() { ["note"] = text }))
                    {
                        lock (confirmed)
                        {
                            confirmed.Add(text);
                        }
                    }
                }),
                Write(async person =>
                {
                    byte[] picture = Picture();
                    if (await person.Post("/tag/38/book", "form[action*='handler=Pictures']", [], ("pictures", "a.jpg", picture)))
                    {
                        lock (pictures)
                        {
                            pictures.Add(Data.Pictures.PictureStore.NameOf(picture, "jpg"));
                        }
                    }
                }),
                Write(async person =>
                {
                    if (await person.Post("/shop", "form[action*='handler=Import']", [], ("bundle", "a.zip", bundle)) && await person.Post(person.LedTo,
                        "form[action*='/shop/incoming/']", []))
                    {
                        Interlocked.Increment(ref taken);
                    }
                }),
            ];
            // Something was confirmed in this life of the program; then it ends wherever it is.
            int before = confirmed.Count;
            await Waiting.Until(() => confirmed.Count > before, "a note was confirmed");
            await Task.Delay(_random.Next(900), CancellationToken.None);
            shop.Kill();
            await ended.CancelAsync();
            await Task.WhenAll(writers);
            shop.Start();

            Task Write(Func<Person, Task> once) => Task.Run(async () =>
            {
                using var person = new Person(shop.Address);
                while (!ended.IsCancellationRequested)
                {
                    try
                    {
                        await once(person);
                    }
                    catch (Exception fault) when (fault is HttpRequestException or IOException or TaskCanceledException)
                    {
                        // The program was ended, or is slow: whoever writes tries again until the round is over.
                    }
                }
            });
        }
        confirmed.Count.ShouldBeGreaterThanOrEqualTo(Rounds);
        pictures.Count.ShouldBeGreaterThan(0);
        shop.Kill();
        Check(shop.Folder, confirmed, pictures, taken);
        shop.Start();
    }

    private static void Check(string folder, List<string> confirmed, HashSet<string> pictures, int taken)
    {
        using var connection = new SqliteConnection($"Data Source={new DataFolder(folder).Database};Pooling=False");
        connection.Open();
        HashSet<string> Rows(string sql)
        {
            using SqliteCommand command = connection.CreateCommand();
            command.CommandText = sql;
            using SqliteDataReader reader = command.ExecuteReader();
            var rows = new HashSet<string>();
            while (reader.Read())
            {
                rows.Add(reader.GetValue(0).ToString()!);
            }
            return rows;
        }
        Rows("PRAGMA integrity_check").ShouldBe(["ok"]);
        confirmed.Except(Rows("SELECT Text FROM Events WHERE TagNumber = 40")).ShouldBeEmpty();
        HashSet<string> kept = Rows("SELECT File FROM Pictures WHERE TagNumber = 38");
        pictures.Except(kept).ShouldBeEmpty();
        // Every picture a tag names is there and whole.
        foreach (string file in Rows("SELECT File FROM Pictures"))
        {
            byte[] bytes = File.ReadAllBytes(Path.Combine(folder, "pictures", file));
            Data.Pictures.PictureStore.NameOf(bytes, Path.GetExtension(file)[1..]).ShouldBe(file);
        }
        // A bundle came whole or not at all, and each that was confirmed is there.
        HashSet<string> guests = Rows("SELECT Number FROM Tags WHERE ImportedAt IS NOT NULL");
        guests.Count.ShouldBeGreaterThanOrEqualTo(taken);
        foreach (string guest in guests)
        {
            Rows($"SELECT count(*) FROM Findings WHERE TagNumber = {guest}").ShouldBe(Rows("SELECT count(*) FROM Findings WHERE TagNumber = 31"));
            Rows($"SELECT count(*) FROM StepMarks WHERE TagNumber = {guest}").ShouldBe(Rows("SELECT count(*) FROM StepMarks WHERE TagNumber = 31"));
        }
    }

    private byte[] Picture()
    {
        using var surface = SKSurface.Create(new SKImageInfo(1200, 900));
        surface.Canvas.Clear(new SKColor((uint)(0xff000000 | _random.Next(0xffffff))));
        return surface.Snapshot().Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
    }

    /// <summary>Someone who fills in forms without a browser.</summary>
    private sealed class Person(string address) : IDisposable
    {
        private readonly HttpClient _client = new(new HttpClientHandler { AllowAutoRedirect = false,
            CookieContainer = new CookieContainer() }) { BaseAddress = new Uri(address), Timeout = TimeSpan.FromSeconds(30) };

        public void Dispose() => _client.Dispose();

        /// <summary>Where the last form led.</summary>
        public string LedTo { get; private set; } = "";

        /// <summary>Sends a form; true when the shop confirmed it.</summary>
        public async Task<bool> Post(string path, string selector, Dictionary<string, string> values, params (string Field, string Name, byte[] Bytes)[] files)
        {
            IHtmlDocument page = new HtmlParser().ParseDocument(await _client.GetStringAsync(path));
            if (page.QuerySelector(selector) is not IHtmlFormElement form)
            {
                return false;
            }
            using var content = new MultipartFormDataContent();
            foreach (IHtmlInputElement hidden in form.QuerySelectorAll("input[type=hidden]").OfType<IHtmlInputElement>())
            {
                content.Add(new StringContent(hidden.Value), hidden.Name!);
            }
            foreach ((string name, string value) in values)
            {
                content.Add(new StringContent(value), name);
            }
            foreach ((string field, string name, byte[] bytes) in files)
            {
                content.Add(new ByteArrayContent(bytes), field, name);
            }
            using HttpResponseMessage answer = await _client.PostAsync(form.GetAttribute("action"), content);
            LedTo = answer.Headers.Location?.ToString() ?? "";
            return answer.StatusCode == HttpStatusCode.Found;
        }
    }
}
