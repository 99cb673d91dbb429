using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using ZeroDrift.Data;
using ZeroDrift.Data.Demo;
using ZeroDrift.Data.Starting;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Server.Tests;

/// <summary>The server in this process, on a real SQLite file of its own.</summary>
public sealed class ServerWithFile : IDisposable
{
    private static readonly Lazy<byte[]> EmptyFile = new(() => Made(null));
    private static readonly Lazy<byte[]> DemoFile = new(() => Made(data => DemoData.FillAsync(data, DateOnly.FromDateTime(DateTime.UtcNow))));
    private readonly string data;
    private readonly bool owned;
    private WebApplicationFactory<Program> factory;

    public ServerWithFile()
        : this(false)
    {
    }

    internal ServerWithFile(bool demo, string? folder = null)
    {
        data = folder ?? Directory.CreateTempSubdirectory("zero-drift-server-").FullName;
        owned = folder is null;
        Demo = demo;
        // A file is made once and copied: hundreds of tests begin with an empty one.
        if (owned) File.WriteAllBytes(Path.Combine(data, DataFile.Name), (demo ? DemoFile : EmptyFile).Value);
        factory = Create();
        Client = factory.CreateClient();
    }

    public HttpClient Client { get; private set; }

    /// <summary>The folder it serves.</summary>
    public string Folder => data;

    /// <summary>A piece of the running server.</summary>
    public T Service<T>() where T : notnull => factory.Services.GetRequiredService<T>();

    private bool Demo { get; }

    /// <summary>Closes the server and opens another on the same file.</summary>
    public void Restart()
    {
        factory.Dispose();
        factory = Create();
        Client = factory.CreateClient();
    }

    public async Task<JsonElement> GetAsync(string path) => await Client.GetFromJsonAsync<JsonElement>(path);

    /// <summary>Sends JSON and gives status and body back; never an empty body for a refusal.</summary>
    public async Task<(HttpStatusCode Status, JsonElement Body)> SendAsync(HttpMethod method, string path, object? body)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is string raw ? new StringContent(raw, Encoding.UTF8, "application/json") : JsonContent.Create(body) };
        using var response = await Client.SendAsync(request);
        var text = await response.Content.ReadAsStringAsync();
        return (response.StatusCode, text.Length == 0 ? default : JsonDocument.Parse(text).RootElement);
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> PostAsync(string path, object? body) => SendAsync(HttpMethod.Post, path, body);

    /// <summary>The answer as it came, not read.</summary>
    public async Task<(HttpStatusCode Status, byte[] Bytes)> PostForBytesAsync(string path, string body)
    {
        using var content = new StringContent(body, Encoding.UTF8, "application/json");
        using var response = await Client.PostAsync(path, content);
        return (response.StatusCode, await response.Content.ReadAsByteArrayAsync());
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> PutAsync(string path, object? body) => SendAsync(HttpMethod.Put, path, body);

    public async Task<(HttpStatusCode Status, JsonElement Body)> PostFileAsync(string path, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new("text/csv");
        using var response = await Client.PostAsync(path, content);
        return (response.StatusCode, JsonDocument.Parse(await response.Content.ReadAsStringAsync()).RootElement);
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> PostFileAsync(string path, string text) => PostFileAsync(path, Encoding.UTF8.GetBytes(text));

    public void Dispose()
    {
        factory.Dispose();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (owned) Directory.Delete(data, true);
    }

    private static byte[] Made(Func<ZeroDriftContext, Task>? fill)
    {
        using var folder = new TemporaryFolder();
        DataFile.OpenAsync(folder.Path, DateTime.UtcNow, _ => { }, fill).GetAwaiter().GetResult();
        using (var connection = new Microsoft.Data.Sqlite.SqliteConnection(DatabaseFile.ConnectionString(Path.Combine(folder.Path, DataFile.Name), pooling: false)))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA journal_mode=DELETE";
            command.ExecuteNonQuery();
        }
        return File.ReadAllBytes(Path.Combine(folder.Path, DataFile.Name));
    }

    private WebApplicationFactory<Program> Create() => new WebApplicationFactory<Program>().WithWebHostBuilder(web =>
    {
        web.UseSetting("data", data);
        web.UseSetting("in-process", "true");
        if (Demo) web.UseSetting("demo", "true");
    });
}

internal static class Problems
{
    /// <summary>The sentence a problem document holds for a field; fails where it names another.</summary>
    public static string Sentence(this JsonElement body, string field)
    {
        Assert.True(body.TryGetProperty("errors", out var errors), body.ToString());
        Assert.True(errors.TryGetProperty(field, out var sentences), $"Named {errors}, not {field}.");
        return sentences[0].GetString()!;
    }
}
