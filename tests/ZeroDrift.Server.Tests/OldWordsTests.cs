using System.Text.RegularExpressions;

namespace ZeroDrift.Server.Tests;

/// <summary>Sentences that a mechanic had to read twice stand nowhere any more: not on a screen, not in a refusal, a letter or a print.</summary>
public partial class OldWordsTests
{
    [Theory]
    [InlineData("one in twenty")]
    [InlineData("worth opening now")]
    [InlineData("drift is spoken of")]
    [InlineData("and not set.")]
    [InlineData("found tight and not set")]
    [InlineData("seats come up")]
    [InlineData("nine in ten of what is expected")]
    [InlineData("If it were not for that")]
    [InlineData("None: its type")]
    [InlineData("Something is wrong")]
    [InlineData("operator’s slip")]
    [InlineData("ut away")]
    [InlineData("Keep it<")]
    [InlineData("Keep these<")]
    [InlineData("What the plan heeds")]
    [InlineData("not to be spared")]
    [InlineData("There again")]
    [InlineData("Take it along")]
    [InlineData("Take along")]
    [InlineData("Which lap is it on")]
    [InlineData("Keep it off")]
    [InlineData("Makes of use")]
    [InlineData("Write out")]
    [InlineData("Bring in")]
    [InlineData("Address, empty for none")]
    [InlineData("in their window`")]
    [InlineData("No plan is better")]
    [InlineData("Nothing presses")]
    [InlineData("h of mechanics")]
    [InlineData("Keep as before locking")]
    [InlineData("For the trend, if you like")]
    [InlineData("Heeded from")]
    [InlineData("Who says so")]
    [InlineData("What was said waits")]
    [InlineData("No run of a valve")]
    [InlineData("The stop opens once")]
    [InlineData("no history shows what has not begun")]
    [InlineData("Nothing drifts out")]
    [InlineData("overdue by the book")]
    public void They_are_said_no_more(string old)
    {
        var said = Lines().Where(l => l.Text.Contains(old, StringComparison.Ordinal)).Select(l => $"{l.File}: {l.Text.Trim()}").ToList();

        Assert.True(said.Count == 0, string.Join(Environment.NewLine, said));
    }

    [Fact]
    public void All_sources_are_looked_through() => Assert.True(Lines().Count > 40_000);

    private static readonly Lazy<IReadOnlyList<(string File, string Text)>> All = new(() =>
    {
        var root = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(root, "ZeroDrift.slnx"))) root = Path.GetDirectoryName(root)!;
        var files = new[] { "src", "web/src" }.SelectMany(folder => Directory.EnumerateFiles(Path.Combine(root, folder), "*", SearchOption.AllDirectories))
            .Where(f => Source().IsMatch(f) && !Apart().IsMatch(f));
        return [.. files.SelectMany(f => File.ReadLines(f).Where(l => !Comment().IsMatch(l)).Select(l => (Path.GetRelativePath(root, f), l)))];
    });

    private static IReadOnlyList<(string File, string Text)> Lines() => All.Value;

    [GeneratedRegex(@"\.(cs|ts|vue)$")]
    private static partial Regex Source();

    [GeneratedRegex(@"/(obj|bin|Migrations)/|\.test\.ts$|schema\.d\.ts$")]
    private static partial Regex Apart();

    [GeneratedRegex(@"^\s*(//|/?\*)")]
    private static partial Regex Comment();
}
