@extends('errors.layout')
@section('title', 'The page was open too long')
@section('message')
Go back, load it again and repeat what you did; nothing was changed.
@endsection
