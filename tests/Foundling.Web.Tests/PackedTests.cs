using System.IO.Compression;
using System.Net.Http.Headers;

namespace Foundling.Web.Tests;

/// <summary>Pages, data, styles and drawings go over the wire packed; what is packed already does not.</summary>
public sealed class PackedTests(TestHost host) : IClassFixture<TestHost>
{
    private async Task<HttpResponseMessage> Ask(string path, string encoding)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, path);
        request.Headers.AcceptEncoding.Add(new StringWithQualityHeaderValue(encoding));
        return await host.Visit().Send(request);
    }

    [Theory]
    [InlineData("/")]
    [InlineData("/shelf")]
    [InlineData("/openapi/v1.json")]
    [InlineData("/js/main.js")]
    public async Task What_is_text_is_packed_and_unpacks_to_the_same(string path)
    {
        HttpResponseMessage packed = await Ask(path, "br"), plain = await Ask(path, "identity");
        packed.Content.Headers.ContentEncoding.ShouldBe(["br"]);
        packed.Headers.Vary.ShouldContain("Accept-Encoding");
        plain.Content.Headers.ContentEncoding.ShouldBeEmpty();
        byte[] small = await packed.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken);
        using var unpacked = new StreamReader(new BrotliStream(new MemoryStream(small), CompressionMode.Decompress));
        string text = await unpacked.ReadToEndAsync(TestContext.Current.CancellationToken);
        string whole = await plain.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        text[..200].ShouldBe(whole[..200]);
        // Each page has tokens of its own, so that only its length can be told.
        ((double)text.Length).ShouldBe(whole.Length, whole.Length * 0.01);
        small.Length.ShouldBeLessThan((int)(whole.Length * 0.6));
    }
}
