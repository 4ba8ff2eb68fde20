<!doctype html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <title>API · Aumbrel</title>
        @vite('resources/js/app.css')
    </head>
    <body class="overflow-y-auto">
        <main class="mx-auto max-w-[900px] p-8">
            <h1 class="text-[18px] font-semibold">The API</h1>
            <p class="mt-2 text-quiet">{{ $document['info']['description'] }}</p>
            <p class="mt-2"><a class="underline" href="/api/openapi.json">openapi.json</a> has all of it for programs (OpenAPI {{ $document['openapi'] }}). Make a token for a script under Settings, on the wall of scenes.</p>
            <pre class="mt-3 overflow-x-auto rounded-sm bg-well p-3 font-mono text-[12px]">curl -H "Authorization: Bearer TOKEN" {{ url('/api/scenes') }}</pre>
            @foreach ($sections as $tag => $operations)
                <h2 class="mt-6 font-semibold">{{ $tag }}</h2>
                @foreach ($operations as $operation)
                    <details class="mt-1 rounded-sm bg-well px-3 py-1.5">
                        <summary class="cursor-default"><span class="inline-block w-[60px] font-mono text-[12px] text-quiet">{{ $operation['verb'] }}</span> <span class="font-mono text-[12px]">/api{{ $operation['path'] }}</span> <span class="ml-2 text-quiet">{{ $operation['summary'] }}</span></summary>
                        <pre class="mt-2 overflow-x-auto font-mono text-[11px] text-quiet">{{ $operation['about'] }}</pre>
                    </details>
                @endforeach
            @endforeach
        </main>
    </body>
</html>
