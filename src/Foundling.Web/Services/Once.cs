using System.Collections.Concurrent;
using Foundling.Data.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace Foundling.Web.Services;

/// <summary>One lock for each form key in flight.</summary>
public sealed class FormLocks
{
    private readonly ConcurrentDictionary<string, SemaphoreSlim> _locks = new();

    /// <summary>Waits until no other request with this key is at work.</summary>
    public async Task<IDisposable> Enter(string key)
    {
        SemaphoreSlim gate = _locks.GetOrAdd(key, _ => new SemaphoreSlim(1));
        await gate.WaitAsync();
        return new Leave(() =>
        {
            gate.Release();
            if (gate.CurrentCount == 1)
            {
                _locks.TryRemove(key, out _);
            }
        });
    }

    private sealed class Leave(Action action) : IDisposable
    {
        public void Dispose() => action();
    }
}

/// <summary>Adds <see cref="OnceFilter"/> to every page.</summary>
internal sealed class OnceFilterFactory : IFilterFactory
{
    public bool IsReusable => false;

    public IFilterMetadata CreateInstance(IServiceProvider serviceProvider) =>
        new OnceFilter(serviceProvider.GetRequiredService<FoundlingDb>(), serviceProvider.GetRequiredService<FormLocks>(), serviceProvider.GetRequiredService<TimeProvider>());
}

/// <summary>
/// A form counts once: it carries a key, and a second arrival (double click, reload, repeated send after a lost answer)
/// is led to where the first one went. Everything a handler writes is kept together with the key or not at all.
/// </summary>
internal sealed class OnceFilter(FoundlingDb db, FormLocks locks, TimeProvider time) : IAsyncPageFilter
{
    /// <summary>Name of the hidden field.</summary>
    public const string Field = "_once";

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
        using IDisposable? held = key.Length is > 0 and <= 64 ? await locks.Enter(key) : null;
        if (held is not null && await db.TakenForms.AsNoTracking().FirstOrDefaultAsync(f => f.Key == key) is { } taken)
        {
            context.Result = new LocalRedirectResult(taken.LedTo);
            return;
        }
        await using IDbContextTransaction transaction = await db.Database.BeginTransactionAsync();
        PageHandlerExecutedContext done = await next();
        if (done.Exception is not null && !done.ExceptionHandled)
        {
            return;
        }
        if (done.Result is LocalRedirectResult redirect && held is not null)
        {
            db.TakenForms.Add(new TakenForm { Key = key, LedTo = redirect.Url, At = time.GetUtcNow() });
            await db.SaveChangesAsync();
        }
        if (done.Result is not PageResult)
        {
            await transaction.CommitAsync();
        }
    }
}
