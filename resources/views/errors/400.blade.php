@extends('errors.layout')
@section('title', 'This address cannot be read')
@section('message')
{{ $exception->getMessage() ?: 'The address may be mistyped.' }}
@endsection
