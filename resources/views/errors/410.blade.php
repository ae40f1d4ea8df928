@extends('errors.layout')
@section('title', 'This edition is not shown')
@section('message')
{{ $exception->getMessage() }}
@endsection
