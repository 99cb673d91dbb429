using System.Reflection;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Server.OpenApi;

/// <summary>Says in the document that an entry is exactly one of its kinds, told by its kind: the generated one says at least one, of schemas it spells otherwise.</summary>
internal static class EntryUnion
{
    private const string Kind = "kind";

    public static Task Apply(OpenApiDocument document, OpenApiDocumentTransformerContext context, CancellationToken cancellationToken)
    {
        var schemas = document.Components!.Schemas!;
        var union = (OpenApiSchema)schemas[nameof(EntryRequest)];
        (union.OneOf, union.AnyOf) = (union.AnyOf ?? union.OneOf, null);
        union.Discriminator = new OpenApiDiscriminator { PropertyName = Kind, Mapping = new Dictionary<string, OpenApiSchemaReference>() };
        foreach (var kind in typeof(EntryRequest).GetCustomAttributes<JsonDerivedTypeAttribute>())
        {
            // The generator names a kind of a union by both.
            var name = nameof(EntryRequest) + kind.DerivedType.Name;
            union.Discriminator.Mapping[(string)kind.TypeDiscriminator!] = new OpenApiSchemaReference(name, document);
            var schema = (OpenApiSchema)schemas[name];
            schema.Type = JsonSchemaType.Object;
            schema.Required = new HashSet<string>(schema.Required ?? new HashSet<string>()) { Kind };
        }
        return Task.CompletedTask;
    }
}
