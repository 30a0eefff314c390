export default noteRoutes.put()
