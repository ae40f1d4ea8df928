@extends('errors.layout')
@section('title', 'There is no such page')
@section('message')
{{ $exception->getMessage() ?: 'The address may be mistyped, or the page has moved.' }}
@endsection
