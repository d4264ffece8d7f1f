using System.Text;
using Foundling.Data.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Web.Door;

/// <summary>One lock for each form key in flight.</summary>
public sealed class FormLocks
{
    private readonly Dictionary<string, Gate> _gates = [];

    /// <summary>Waits until no other request with this key is at work.</summary>
    public async Task<IDisposable> Enter(string key, CancellationToken cancel = default)
    {
        Gate gate;
        lock (_gates)
        {
            if (!_gates.TryGetValue(key, out gate!))
            {
                _gates[key] = gate = new Gate();
            }
            gate.Users++;
        }
        try
        {
            await gate.Turn.WaitAsync(cancel);
        }
        catch
        {
            Forget(key, gate);
            throw;
        }
        return new Leave(() =>
        {
            gate.Turn.Release();
            Forget(key, gate);
        });
    }

    private void Forget(string key, Gate gate)
    {
        lock (_gates)
        {
            if (--gate.Users == 0)
            {
                _gates.Remove(key);
                gate.Turn.Dispose();
            }
        }
    }

    private sealed class Gate
    {
        public SemaphoreSlim Turn { get; } = new(1);

        public int Users { get; set; }
    }

    private sealed class Leave(Action action) : IDisposable
    {
        public void Dispose() => action();
    }
}

/// <summary>Writes the addresses pages lead to in letters a header can carry.</summary>
internal sealed class PlainAddresses : IAlwaysRunResultFilter
{
    public void OnResultExecuting(ResultExecutingContext context)
    {
        if (context.Result is LocalRedirectResult redirect && redirect.Url.Any(c => !char.IsAscii(c) || char.IsControl(c)))
        {
            context.Result = new LocalRedirectResult(string.Concat(redirect.Url.EnumerateRunes().Select(r => r.IsAscii && !Rune.IsControl(r) ? r.ToString()
                : Uri.EscapeDataString(r.ToString()))));
        }
    }

    public void OnResultExecuted(ResultExecutedContext context)
    {
    }
}

/// <summary>Adds <see cref="OnceFilter"/> to every page.</summary>
internal sealed class OnceFilterFactory : IFilterFactory
{
    public bool IsReusable => false;

    public IFilterMetadata CreateInstance(IServiceProvider serviceProvider) =>
        new OnceFilter(serviceProvider.GetRequiredService<FoundlingDb>(), serviceProvider.GetRequiredService<FormLocks>(),
            serviceProvider.GetRequiredService<TimeProvider>());
}

/// <summary>
/// A form counts once: it carries a key, and a second arrival (double click, reload, repeated send after a lost answer)
/// is led to where the first one went. Everything a handler writes is kept together with the key or not at all. The
/// transaction begins with the first write, so that pictures, files and plans hold nobody up.
/// </summary>
internal sealed class OnceFilter(FoundlingDb db, FormLocks locks, TimeProvider time) : IAsyncPageFilter
{
    /// <summary>Name of the hidden field.</summary>
    public const string Field = "_once";

    private const int MostKey = 64;

    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    public async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        HttpRequest request = context.HttpContext.Request;
        if (!HttpMethods.IsPost(request.Method) || !request.HasFormContentType)
        {
            await next();
            return;
        }
        string key = request.Form[Field].ToString();
        using IDisposable? held = key.Length is > 0 and <= MostKey ? await locks.Enter(key, context.HttpContext.RequestAborted) : null;
        if (held is not null && await db.TakenForms.AsNoTracking().FirstOrDefaultAsync(f => f.Key == key) is { } taken)
        {
            context.Result = new LocalRedirectResult(taken.LedTo);
            return;
        }
        db.HoldWrites();
        PageHandlerExecutedContext done = await next();
        if (done.Exception is null || done.ExceptionHandled)
        {
            if (done.Result is LocalRedirectResult redirect && held is not null)
            {
                db.TakenForms.Add(new TakenForm { Key = key, LedTo = redirect.Url, At = time.GetUtcNow() });
                await db.SaveChangesAsync();
            }
            if (done.Result is not PageResult && db.Database.CurrentTransaction is { } transaction)
            {
                await transaction.CommitAsync();
                return;
            }
        }
        if (db.Database.CurrentTransaction is { } open)
        {
            // Not left for the end of the request: the page that is shown now takes its time.
            await open.RollbackAsync();
        }
    }
}
