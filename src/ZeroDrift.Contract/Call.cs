using System.Text;
using System.Text.Json;
using ZeroDrift.Contract.Input;

namespace ZeroDrift.Contract;

/// <summary>The answer to a call: its status, and the JSON of an answer or of a problem.</summary>
public sealed record CallAnswer(int Status, byte[] Json);

/// <summary>One stateless call: request in, answer or problem out, as bytes.</summary>
/// <param name="Name">Its name under <c>/api/calc/</c>.</param>
/// <param name="Request">What comes in.</param>
/// <param name="Response">What goes out.</param>
/// <param name="Answer">The work.</param>
public sealed record Call(string Name, Type Request, Type Response, Func<ReadOnlyMemory<byte>, CallAnswer> Answer)
{
    /// <summary>A call of a function of the contract.</summary>
    public static Call Of<TRequest, TResponse>(string name, Func<TRequest, TResponse> work) where TRequest : class => new(name, typeof(TRequest), typeof(TResponse), json =>
    {
        try
        {
            // An encoding other than UTF-8 would be read as nonsense further in.
            if (json.Span.StartsWith(Encoding.UTF8.Preamble)) json = json[Encoding.UTF8.Preamble.Length..];
            var request = JsonSerializer.Deserialize(json.Span, ContractJson.TypeInfo<TRequest>());
            return request is null
                ? Refused(Problem.Field(400, "malformed", "body", "The request needs a JSON body that fits the contract."))
                : new CallAnswer(200, JsonSerializer.SerializeToUtf8Bytes(work(request), ContractJson.TypeInfo<TResponse>()));
        }
        catch (Exception wrong) when (Problem.Of(wrong, typeof(TRequest)) is { } problem)
        {
            return Refused(problem);
        }
    });

    private static CallAnswer Refused(Problem problem) => new(problem.Status, JsonSerializer.SerializeToUtf8Bytes(problem, ContractJson.TypeInfo<Problem>()));
}
