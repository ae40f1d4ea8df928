@extends('errors.layout')
@section('title', 'Closed for a moment')
@section('message')
The calendars are being looked after. Try again in a few minutes.
@endsection
