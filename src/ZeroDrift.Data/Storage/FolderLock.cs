namespace ZeroDrift.Data.Storage;

/// <summary>
/// Holds a data folder for one server. The operating system lets go of it when the process ends, however it ends, so a kill leaves nothing behind.
/// </summary>
public sealed class FolderLock : IDisposable
{
    private readonly FileStream held;

    private FolderLock(FileStream held) => this.held = held;

    /// <summary>Takes the folder.</summary>
    /// <exception cref="StorageTrouble">Another server has it, or the folder cannot be written.</exception>
    public static FolderLock Take(string folder)
    {
        var path = Path.Combine(folder, "zerodrift.lock");
        try
        {
            Directory.CreateDirectory(folder);
            var stream = new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            return new FolderLock(stream);
        }
        catch (UnauthorizedAccessException)
        {
            throw new StorageTrouble($"The data folder {folder} cannot be written. Give this user the right to write there, or choose another with --data.");
        }
        catch (IOException fault) when (fault.HResult is 11 or 35 || fault.Message.Contains("being used by another process", StringComparison.Ordinal))
        {
            throw new StorageTrouble($"Another server already serves the data in {folder}. Use that one, stop it first, or choose another folder with --data.");
        }
        catch (IOException fault)
        {
            throw new StorageTrouble($"The data folder {folder} cannot be used: {fault.Message}");
        }
    }

    public void Dispose() => held.Dispose();
}

/// <summary>Why the data cannot be served, in a sentence with the path and the way back.</summary>
public sealed class StorageTrouble(string message) : Exception(message);
