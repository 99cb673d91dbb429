using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Errors;

/// <summary>Something else stands: a name taken, a version gone by, an identifier used for other content. The facts say what stands now.</summary>
internal sealed class ConflictException(string code, string name, string message, JsonObject? facts = null) : Exception(message)
{
    public string Code => code;

    public string Field => name;

    public JsonObject? Facts => facts;
}

/// <summary>No such thing.</summary>
internal sealed class NotFoundException(string message, string code = "notFound") : Exception(message)
{
    public string Code => code;
}
