using System.Reflection;
using System.Reflection.Emit;
using System.Reflection.Metadata;
using System.Reflection.Metadata.Ecma335;
using System.Reflection.PortableExecutable;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// Which types of an assembly refer to which others of it, as the compiled code has it: sources leave names out, code
/// does not.
/// </summary>
internal sealed class References : ISignatureTypeProvider<IEnumerable<EntityHandle>, object?>
{
    private static readonly Dictionary<int, OperandType> Operands = typeof(OpCodes)
        .GetFields(BindingFlags.Public | BindingFlags.Static)
        .Select(f => (OpCode)f.GetValue(null)!).ToDictionary(o => (int)(ushort)o.Value, o => o.OperandType);

    private readonly MetadataReader _of;
    private readonly PEReader _file;

    private References(PEReader file) => (_file, _of) = (file, file.GetMetadataReader());

    /// <summary>
    /// Every pair of types of which the first refers to the second, as full names of the outermost types.
    /// </summary>
    public static IReadOnlySet<(string From, string To)> Of(Assembly assembly)
    {
        using var file = new PEReader(File.OpenRead(assembly.Location));
        return new References(file).All();
    }

    private HashSet<(string, string)> All()
    {
        var all = new HashSet<(string, string)>();
        foreach (var handle in _of.TypeDefinitions)
        {
            var type = _of.GetTypeDefinition(handle);
            var from = Name(handle);
            foreach (var to in Uses(type).Distinct().Select(Own).OfType<TypeDefinitionHandle>().Select(Name).Distinct())
                if (to != from) all.Add((from, to));
        }
        return all;
    }

    private IEnumerable<EntityHandle> Uses(TypeDefinition type)
    {
        if (!type.BaseType.IsNil) yield return type.BaseType;
        foreach (var i in type.GetInterfaceImplementations()) yield return _of.GetInterfaceImplementation(i).Interface;
        foreach (var f in type.GetFields())
            foreach (var t in _of.GetFieldDefinition(f).DecodeSignature(this, null)) yield return t;
        foreach (var m in type.GetMethods())
        {
            var method = _of.GetMethodDefinition(m);
            var signature = method.DecodeSignature(this, null);
            foreach (var t in signature.ReturnType.Concat(signature.ParameterTypes.SelectMany(p => p))) yield return t;
            if (method.RelativeVirtualAddress == 0) continue;
            var body = _file.GetMethodBody(method.RelativeVirtualAddress);
            if (!body.LocalSignature.IsNil)
                foreach (var t in _of.GetStandaloneSignature(body.LocalSignature).DecodeLocalSignature(this, null)
                    .SelectMany(l => l))
                    yield return t;
            foreach (var t in Tokens(body.GetILReader())) yield return t;
        }
    }

    /// <summary>What a method's code names.</summary>
    private static IEnumerable<EntityHandle> Tokens(BlobReader code)
    {
        while (code.RemainingBytes > 0)
        {
            int op = code.ReadByte();
            if (op == 0xfe) op = (op << 8) | code.ReadByte();
            switch (Operands[op])
            {
                case OperandType.InlineField or OperandType.InlineMethod or OperandType.InlineTok or OperandType.InlineType:
                    yield return MetadataTokens.EntityHandle(code.ReadInt32());
                    break;
                case OperandType.InlineSwitch:
                    var ways = code.ReadInt32();
                    code.Offset += 4 * ways;
                    break;
                case OperandType.InlineI8 or OperandType.InlineR: code.Offset += 8; break;
                case OperandType.InlineNone: break;
                case OperandType.ShortInlineBrTarget or OperandType.ShortInlineI or OperandType.ShortInlineVar: code.Offset += 1; break;
                case OperandType.InlineVar: code.Offset += 2; break;
                default: code.Offset += 4; break;
            }
        }
    }

    /// <summary>The types of this assembly that a handle stands for, the outermost ones.</summary>
    private TypeDefinitionHandle? Own(EntityHandle handle)
    {
        switch (handle.Kind)
        {
            case HandleKind.TypeDefinition: return Outermost((TypeDefinitionHandle)handle);
            case HandleKind.MethodDefinition:
                return Outermost(_of.GetMethodDefinition((MethodDefinitionHandle)handle)
                .GetDeclaringType());
            case HandleKind.FieldDefinition:
                return Outermost(_of.GetFieldDefinition((FieldDefinitionHandle)handle)
                .GetDeclaringType());
            case HandleKind.MemberReference: return Own(_of.GetMemberReference((MemberReferenceHandle)handle).Parent);
            case HandleKind.MethodSpecification: return Own(_of.GetMethodSpecification((MethodSpecificationHandle)handle).Method);
            case HandleKind.TypeSpecification:
                return _of.GetTypeSpecification((TypeSpecificationHandle)handle).DecodeSignature(this, null).Select(Own)
                    .FirstOrDefault(t => t is not null);
            default: return null;
        }
    }

    private TypeDefinitionHandle Outermost(TypeDefinitionHandle handle)
    {
        while (_of.GetTypeDefinition(handle).GetDeclaringType() is { IsNil: false } outer) handle = outer;
        return handle;
    }

    private string Name(TypeDefinitionHandle handle)
    {
        var type = _of.GetTypeDefinition(Outermost(handle));
        return $"{_of.GetString(type.Namespace)}.{_of.GetString(type.Name)}";
    }

    public IEnumerable<EntityHandle> GetTypeFromDefinition(MetadataReader reader, TypeDefinitionHandle handle,
        byte rawTypeKind) => [handle];
    public IEnumerable<EntityHandle> GetTypeFromReference(MetadataReader reader, TypeReferenceHandle handle,
        byte rawTypeKind) => [];
    public IEnumerable<EntityHandle> GetTypeFromSpecification(MetadataReader reader, object? genericContext,
        TypeSpecificationHandle handle, byte rawTypeKind) => [handle];
    public IEnumerable<EntityHandle> GetArrayType(IEnumerable<EntityHandle> elementType, ArrayShape shape) =>
        elementType;
    public IEnumerable<EntityHandle> GetSZArrayType(IEnumerable<EntityHandle> elementType) => elementType;
    public IEnumerable<EntityHandle> GetByReferenceType(IEnumerable<EntityHandle> elementType) => elementType;
    public IEnumerable<EntityHandle> GetPointerType(IEnumerable<EntityHandle> elementType) => elementType;
    public IEnumerable<EntityHandle> GetPinnedType(IEnumerable<EntityHandle> elementType) => elementType;
    public IEnumerable<EntityHandle> GetFunctionPointerType(MethodSignature<IEnumerable<EntityHandle>> signature) => [];
    public IEnumerable<EntityHandle> GetGenericInstantiation(IEnumerable<EntityHandle> genericType,
        System.Collections.Immutable.ImmutableArray<IEnumerable<EntityHandle>> typeArguments) =>
        genericType.Concat(typeArguments.SelectMany(t => t));
    public IEnumerable<EntityHandle> GetGenericMethodParameter(object? genericContext, int index) => [];
    public IEnumerable<EntityHandle> GetGenericTypeParameter(object? genericContext, int index) => [];
    public IEnumerable<EntityHandle> GetModifiedType(IEnumerable<EntityHandle> modifier,
        IEnumerable<EntityHandle> unmodifiedType, bool isRequired) => unmodifiedType;
    public IEnumerable<EntityHandle> GetPrimitiveType(PrimitiveTypeCode typeCode) => [];
}
