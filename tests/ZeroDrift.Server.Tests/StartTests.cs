using System.Net.Http.Json;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using ZeroDrift.Tests;

namespace ZeroDrift.Server.Tests;

/// <summary>Starting and stopping: no hang, no half-filled demo, plain sentences, and every start after a kill serves.</summary>
public sealed class StartTests : IDisposable
{
    private readonly TemporaryFolder folder = new();

    private string File => Path.Combine(folder.Path, "zerodrift.db");

    [Fact]
    public async Task A_second_server_on_one_folder_is_refused_in_a_sentence()
    {
        using var first = new BuiltServer(folder.Path);
        Assert.True(await first.IsReadyAsync(), first.Said);
        using var second = new BuiltServer(folder.Path);

        Assert.Equal(1, second.Ended());
        Assert.Contains($"Another server already serves the data in {folder.Path}", second.Said, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", second.Said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_empty_file_of_no_bytes_is_filled_and_a_file_not_in_wal_mode_is_served()
    {
        await System.IO.File.WriteAllBytesAsync(File, []);
        using (var first = new BuiltServer(folder.Path)) Assert.True(await first.IsReadyAsync(), first.Said);
        SqliteConnection.ClearAllPools();
        await using (var connection = new SqliteConnection($"Data Source={File};Pooling=False"))
        {
            await connection.OpenAsync();
            await using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA journal_mode=DELETE; VACUUM INTO '" + File + ".copy'";
            await command.ExecuteNonQueryAsync();
        }
        System.IO.File.Move(File + ".copy", File, true);

        using var second = new BuiltServer(folder.Path);
        Assert.True(await second.IsReadyAsync(), second.Said);
    }

    [Theory]
    [InlineData("text", "is not a Zero Drift data file")]
    [InlineData("foreign", "is a data file of another program")]
    [InlineData("newer", "was written by a newer version")]
    public async Task A_file_that_cannot_be_served_gets_a_sentence_with_its_path(string kind, string sentence)
    {
        if (kind == "text") await System.IO.File.WriteAllTextAsync(File, string.Concat(Enumerable.Repeat("this is a letter to somebody. ", 100)));
        if (kind == "foreign") await ExecuteAsync("CREATE TABLE Songs(Id INTEGER)");
        if (kind == "newer")
        {
            using (var made = new BuiltServer(folder.Path)) Assert.True(await made.IsReadyAsync(), made.Said);
            await ExecuteAsync("INSERT INTO __EFMigrationsHistory VALUES('29990101000000_Later', '99')");
        }

        using var server = new BuiltServer(folder.Path);

        Assert.Equal(1, server.Ended());
        Assert.Contains(sentence, server.Said, StringComparison.Ordinal);
        Assert.Contains(File, server.Said, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", server.Said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_damaged_file_gets_a_sentence_and_the_way_back()
    {
        using (var made = new BuiltServer(folder.Path)) Assert.True(await made.IsReadyAsync(), made.Said);
        var bytes = await System.IO.File.ReadAllBytesAsync(File);
        bytes.AsSpan(100, Math.Min(bytes.Length - 100, 60_000)).Fill(0x5A);
        await System.IO.File.WriteAllBytesAsync(File, bytes);

        using var server = new BuiltServer(folder.Path);

        Assert.Equal(1, server.Ended());
        Assert.Contains("damaged", server.Said, StringComparison.Ordinal);
        Assert.Contains("before-", server.Said, StringComparison.Ordinal);
    }

    [Fact]
    public Task Killed_at_any_moment_of_the_first_fill_the_next_start_serves_all_of_it() => KillTheFillAsync([150, 600, 1050, 1500, 1950], 6, "--demo", "--fleet-size", "6", "--years", "2");

    [Fact]
    [Trait("Length", "long")]
    public Task Killed_at_any_moment_of_the_first_fill_the_next_start_serves_the_whole_demo() => KillTheFillAsync([1700, 5200, 9800], 26, "--demo");

    [Fact]
    public Task Killed_in_the_middle_of_the_upgrade_the_next_start_has_every_record() => KillTheUpgradeAsync([1200, 3000]);

    [Fact]
    [Trait("Length", "long")]
    public Task Killed_at_any_moment_of_the_upgrade_the_next_start_has_every_record() => KillTheUpgradeAsync([150, 1600, 4600]);

    private async Task KillTheFillAsync(int[] moments, int engines, params string[] options)
    {
        for (var i = 0; i < moments.Length; i++)
        {
            var own = Path.Combine(folder.Path, $"fill-{i}");
            using (var killed = new BuiltServer(own, options))
            {
                await Task.Delay(moments[i]);
                killed.Kill();
            }
            using var next = new BuiltServer(own, options);
            Assert.True(await next.IsReadyAsync(120), next.Said);
            using var client = next.Client;
            Assert.Equal(engines, (await client.GetFromJsonAsync<JsonElement>("/api/due")).GetProperty("engines").GetArrayLength());
        }
    }

    private async Task KillTheUpgradeAsync(int[] moments)
    {
        for (var i = 0; i < moments.Length; i++)
        {
            var own = Path.Combine(folder.Path, $"upgrade-{i}");
            Directory.CreateDirectory(own);
            UpgradeTests.Unpack(Path.Combine(own, "zerodrift.db"));
            using (var killed = new BuiltServer(own))
            {
                await Task.Delay(moments[i]);
                killed.Kill();
            }
            using var next = new BuiltServer(own);
            Assert.True(await next.IsReadyAsync(120), next.Said);
            using var client = next.Client;
            Assert.Equal(19, (await client.GetFromJsonAsync<JsonElement>("/api/due")).GetProperty("engines").GetArrayLength());
        }
    }

    [Fact]
    public async Task What_was_acknowledged_before_a_kill_is_there_after_it()
    {
        var people = new List<string>();
        for (var i = 0; i < 3; i++)
        {
            using var server = new BuiltServer(folder.Path);
            Assert.True(await server.IsReadyAsync(), server.Said);
            using var client = server.Client;
            for (var k = 0; k < 6; k++)
            {
                var name = $"Person {i} {k}";
                (await client.PostAsJsonAsync("/api/people", new { name })).EnsureSuccessStatusCode();
                people.Add(name);
            }
            server.Kill();
        }
        using var last = new BuiltServer(folder.Path);
        Assert.True(await last.IsReadyAsync(), last.Said);
        using var asking = last.Client;
        var known = (await asking.GetFromJsonAsync<JsonElement>("/api/people")).EnumerateArray().Select(p => p.GetProperty("name").GetString()!);
        Assert.Equal(people.Order(), known.Order());
    }

    public void Dispose() => folder.Dispose();

    private async Task ExecuteAsync(string sql)
    {
        await using var connection = new SqliteConnection($"Data Source={File};Pooling=False");
        await connection.OpenAsync();
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        await command.ExecuteNonQueryAsync();
    }
}
