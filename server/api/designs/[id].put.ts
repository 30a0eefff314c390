export default designRoutes.put()
