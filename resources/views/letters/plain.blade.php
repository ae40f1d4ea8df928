{!! implode("\n\n", $paragraphs) !!}
