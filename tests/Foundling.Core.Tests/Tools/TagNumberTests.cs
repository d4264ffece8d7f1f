using Foundling.Core.Tags;

namespace Foundling.Core.Tests.Tools;

/// <summary>Tag numbers as people write them.</summary>
public sealed class TagNumberTests
{
    [Theory]
    [InlineData("F-0042", 42)]
    [InlineData(" f42 ", 42)]
    [InlineData("42", 42)]
    [InlineData("F-12345", 12345)]
    public void A_number_is_read(string text, int number) => Tag.ReadNumber(text).ShouldBe(number);

    [Theory]
    [InlineData("the saw")]
    [InlineData("-")]
    [InlineData("F-0")]
    [InlineData("4.2")]
    [InlineData("99999999999")]
    [InlineData("4 2")]
    public void What_is_none_is_said(string text) => Should.Throw<InputException>(() => Tag.ReadNumber(text)).Sentence.ShouldContain("is no tag number");

    [Fact]
    public void What_is_written_is_read_again() => Enumerable.Range(1, 20_000).ShouldAllBe(n => Tag.ReadNumber(Tag.LabelOf(n)) == n);
}
