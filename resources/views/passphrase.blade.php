<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Passphrase · Aumbrel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/app.css')
</head>
<body>
    <main class="flex h-full flex-col items-center justify-center gap-3">
        <h1 class="font-semibold">Aumbrel</h1>
        <form method="post" action="/passphrase" class="flex items-center gap-2">
            @csrf
            <label for="passphrase" class="text-quiet">Passphrase</label>
            <input id="passphrase" name="passphrase" type="password" autocomplete="current-password" required autofocus class="h-7 w-[220px] rounded-sm bg-well px-2">
            <button class="rounded-md border border-line px-3 py-1 hover:bg-raised">Come in</button>
        </form>
        <p role="alert" class="min-h-5 text-alarm">{{ $problem ?? '' }}</p>
    </main>
</body>
</html>
