@extends('errors.layout')
@section('title', 'Something went wrong on our side')
@section('message')
Nothing was changed. Try again in a moment.
@endsection
