using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;

[assembly: SupportedOSPlatform("browser")]

namespace ZeroDrift.Tablet;

/// <summary>The contract in the browser: the same bytes for the same call as from a server.</summary>
public static partial class TabletCore
{
    private static readonly Call Fold = ZeroDrift.Contract.Call.Of<FoldRequest, FoldResponse>("fold", new FoldMemory().Fold);

    public static void Main()
    {
        // Nothing runs by itself: the page calls.
    }

    /// <summary>The status of the answer, a line feed, and its JSON; an empty text where no call has that name.</summary>
    [JSExport]
    public static string Call(string name, string json)
    {
        var call = name == Fold.Name ? Fold : AllCalls.Find(name);
        if (call is null) return "";
        var answer = call.Answer(Encoding.UTF8.GetBytes(json));
        return $"{answer.Status}\n{Encoding.UTF8.GetString(answer.Json)}";
    }
}
