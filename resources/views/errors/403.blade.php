@extends('errors.layout')
@section('title', 'This is not open to you')
@section('message')
Ask your educator or administrator.
@endsection
