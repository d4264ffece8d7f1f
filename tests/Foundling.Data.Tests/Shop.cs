using Foundling.Data.Kinds;
using Foundling.Core.Tools;
using Foundling.Core.Tags;
using Foundling.Data.Demo;
using Foundling.Data.Origin;
using Foundling.Data.Papers;
using Foundling.Data.Pictures;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Soaks;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Time.Testing;

namespace Foundling.Data.Tests;

/// <summary>A shop in a folder of its own.</summary>
public sealed class TestShop : IDisposable
{
    private readonly Opening _opening;

    public TestShop()
    {
        Folder = new DataFolder(Directory.CreateTempSubdirectory("foundling-test-").FullName);
        _opening = Opening.Of(Folder);
    }

    public DataFolder Folder { get; }

    public FakeTimeProvider Time { get; } = new(new DateTimeOffset(2026, 3, 3, 18, 0, 0, TimeSpan.Zero));

    public PictureStore Pictures => new(Folder, Time);

    public FoundlingDb Open() => new((DbContextOptions<FoundlingDb>)Folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);

    public TagBook Tags(FoundlingDb db) => new(db, Time, Patterns(db), Plans(db));

    public PlanShelf Plans(FoundlingDb db) => new(db, _plans, Time);

    private readonly PlanCache _plans = new();

    /// <summary>The tags of a shop that was not made here.</summary>
    public static TagBook Book(FoundlingDb db) => new(db, TimeProvider.System, new PatternShelf(db, new PatternCache(), TimeProvider.System),
        new PlanShelf(db, new PlanCache(), TimeProvider.System));

    public StoreRoom Stores(FoundlingDb db) => new(db, Time);

    public Stopwatches Watches => _watches ??= new Stopwatches(Time);

    private Stopwatches? _watches;

    public ClockBook Clock(FoundlingDb db) => new(db, Tags(db), Watches, Time, Plans(db));

    public RodDesk Rods(FoundlingDb db) => new(Time, Tags(db), Desk(db), Stores(db));

    public BathBook Baths(FoundlingDb db) => new(db, Time, Tags(db), Rods(db), Desk(db), Stores(db));

    public StoreDesk StoreDesk(FoundlingDb db) => new(db, Time, Stores(db), new ShopBook(db), Desk(db), Tags(db), Baths(db),
        new PartsBox(db, Time));

    public ShopDesk Desk(FoundlingDb db) => new(new ShopBook(db), Stores(db));

    public DemoWorld Demo(FoundlingDb db) => new(db, Pictures, new ShopBook(db), Patterns(db), Stores(db), Plans(db), Time);

    public PatternCache Cache { get; } = new();

    public PatternShelf Patterns(FoundlingDb db) => new(db, Cache, Time);

    public BundleDesk Bundles(FoundlingDb db) => new(Tags(db), Pictures, Patterns(db));

    public BundlesIn Incoming(FoundlingDb db) => new(Tags(db), Pictures, Patterns(db), Desk(db), Kinds(db), db, Folder, Time);

    public KindList KindList => _kinds ??= new KindList(Folder);

    private KindList? _kinds;

    public KindShelf Kinds(FoundlingDb db) => new(db, KindList, Time);

    /// <summary>Receives a bundle and takes it with all its pages.</summary>
    public async Task<Tag> Bring(FoundlingDb db, Stream bundle)
    {
        BundleView held = await Incoming(db).Receive(bundle);
        return await Incoming(db).Take(held.Id, [.. held.Pages.Lines.Select(l => l.Id)]);
    }

    public async Task<int> BookIn(Action<Tag>? with = null)
    {
        await using FoundlingDb db = Open();
        var tag = new Tag { Kind = KindIds.MetalBenchPlane, Name = "Smoother", LengthMm = 245, ArrivedOn = new DateOnly(2026, 3, 1) };
        with?.Invoke(tag);
        return (await Tags(db).BookIn(tag)).Number;
    }

    public void Dispose()
    {
        _opening.Dispose();
        Directory.Delete(Folder.Path, recursive: true);
    }
}
