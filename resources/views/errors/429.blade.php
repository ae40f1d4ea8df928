@extends('errors.layout')
@section('title', 'Too many tries')
@section('message')
Wait a minute and try again.
@endsection
